<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Auth\AuditTrail;
use App\Http\Requests\SquadRequest;
use App\Http\Resources\LineResource;
use App\Http\Resources\PlayerResource;
use App\Models\RecordLine;
use App\Models\Squad;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\Planning\SquadAims;
use App\Queries\RecordQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class SquadController extends Controller
{
    #[Get('/squads/{squad}', 'Everyone, and how each stands on each record line against their own past.', answers: 'SquadBoard')]
    public function show(Request $request, Squad $squad, RecordQuery $records, SquadAims $aims): JsonResponse
    {
        Gate::authorize('view', $squad);
        $players = $squad->players;
        $readings = $records->readings(array_values(array_map(intval(...), $players->modelKeys())));
        $own = $aims->of($squad, $records->lines());
        $lines = array_map(fn (RecordLine $line): array => LineResource::line($line, $squad->length_unit), array_values($records->lines()));
        usort(
            $lines,
            fn (array $a, array $b): int => [$a['drillName'], $a['window'], $a['side']] <=> [$b['drillName'], $b['window'], $b['side']],
        );

        return new JsonResponse([
            'id' => $squad->id,
            'name' => $squad->name,
            'ageGroup' => $squad->age_group,
            'today' => $this->day($request)->today()->iso(),
            'players' => $players->map(PlayerResource::of(...))->all(),
            'lines' => $lines,
            'standings' => (object) array_map(
                fn (array $ofPlayer): object => (object) LineResource::standings($ofPlayer, $own, $squad->showsChances()),
                $readings,
            ),
        ]);
    }

    #[Post('/club/squads', 'Adds a squad to the club.', answers: 'SquadMade', takes: 'SquadFields', status: 201)]
    public function store(SquadRequest $request, AuditTrail $trail): JsonResponse
    {
        $squad = Squad::query()->create(
            ['name' => $request->string('name')->trim()->toString(), 'age_group' => $request->string('ageGroup')->toString()],
        );
        $trail->noteOf($this->user($request), 'squad.added', $squad->name, $squad->id);

        return new JsonResponse(['id' => $squad->id], 201);
    }
}
