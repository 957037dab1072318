<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PlayerRequest;
use App\Http\Resources\LineResource;
use App\Http\Resources\PlayerResource;
use App\Models\Player;
use App\Models\Squad;
use App\Queries\RecordQuery;
use FleetSparrow\Core\Record\LineReading;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

class PlayerController extends Controller
{
    public function show(Player $player, RecordQuery $records): JsonResponse
    {
        Gate::authorize('view', $player->squad);
        $readings = $records->readings([$player->id])[$player->id] ?? [];
        $lines = $records->lines();
        $standings = array_map(
            fn (string $key, LineReading $reading): array => ['line' => LineResource::line($lines[$key], $player->squad->length_unit)] + LineResource::standing($reading, $player->squad->target_school),
            array_keys($readings),
            $readings,
        );
        usort($standings, fn (array $a, array $b): int => [$a['line']['drillName'], $a['line']['window'], $a['line']['side']] <=> [$b['line']['drillName'], $b['line']['window'], $b['line']['side']]);

        return new JsonResponse(PlayerResource::of($player) + ['squadId' => $player->squad_id, 'squadName' => $player->squad->name, 'lines' => $standings]);
    }

    public function store(PlayerRequest $request, Squad $squad): JsonResponse
    {
        return new JsonResponse(PlayerResource::of(Player::query()->create(['squad_id' => $squad->id] + $request->columns())), 201);
    }

    public function update(PlayerRequest $request, Player $player): JsonResponse
    {
        $player->update($request->columns());

        return new JsonResponse(PlayerResource::of($player));
    }
}
