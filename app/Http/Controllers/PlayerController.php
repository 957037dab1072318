<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Squad\KeepPlayer;
use App\Http\Requests\PlayerRequest;
use App\Http\Resources\LineResource;
use App\Http\Resources\LookResource;
use App\Http\Resources\PlayerResource;
use App\Http\Resources\ReminderResource;
use App\Models\DrillVersion;
use App\Models\Player;
use App\Models\Squad;
use App\OpenApi\Delete;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\OpenApi\Put;
use App\Planning\SquadAims;
use App\Queries\LooksQuery;
use App\Queries\RecordQuery;
use App\Queries\RemindersQuery;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Run\LookCount;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class PlayerController extends Controller
{
    #[Get('/players/{player}', 'One player: marks by line, records, next targets.', answers: 'PlayerPage')]
    public function show(
        Request $request,
        Player $player,
        RecordQuery $records,
        SquadAims $aims,
        RemindersQuery $reminders,
        LooksQuery $looks,
    ): JsonResponse {
        Gate::authorize('view', $player->squad);
        $noted = $reminders->of([$player->id], $this->day($request), $this->user($request)->id);
        $readings = $records->readings([$player->id])[$player->id] ?? [];
        $lines = $records->lines();
        $own = $aims->of($player->squad, $lines);
        $standings = array_map(
            fn (string $key, LineReading $reading): array => [
                'line' => LineResource::line($lines[$key], $player->squad->length_unit),
            ] + LineResource::standing($reading, $own[$key], $player->squad->showsChances()),
            array_keys($readings),
            $readings,
        );
        usort(
            $standings,
            fn (array $a, array $b): int => [
                $a['line']['drillName'],
                $a['line']['window'],
                $a['line']['side'],
            ] <=> [$b['line']['drillName'], $b['line']['window'], $b['line']['side']],
        );

        $counts = $looks->of($player, $this->day($request));
        $names = $counts === [] ? [] : DrillVersion::openTo($player->squad)->where('is_current', true)
            ->whereIn('slug', array_map(fn (LookCount $one): string => $one->drillSlug, $counts))->pluck('name', 'slug')->all();

        return new JsonResponse(PlayerResource::of($player) + [
            'squadId' => $player->squad_id,
            'squadName' => $player->squad->name,
            'lines' => $standings,
            'reminders' => array_map(ReminderResource::of(...), $noted->ofPlayer($player->id)),
            'isWatched' => in_array($player->id, $noted->watched(), true),
            'looks' => array_map(fn (LookCount $one): array => LookResource::of($one, $names), $counts),
        ]);
    }

    #[Post('/squads/{squad}/players', 'Adds a player; a first name is enough.', answers: 'Player', takes: 'PlayerFields', status: 201)]
    public function store(PlayerRequest $request, Squad $squad, KeepPlayer $action): JsonResponse
    {
        return new JsonResponse(PlayerResource::of($action->add($squad, $request->columns(), $this->user($request))), 201);
    }

    #[Put('/players/{player}', 'Changes name, bib, foot or year.', answers: 'Player', takes: 'PlayerFields')]
    public function update(PlayerRequest $request, Player $player, KeepPlayer $action): JsonResponse
    {
        return new JsonResponse(PlayerResource::of($action->change($player, $request->columns(), $this->user($request))));
    }

    #[Delete('/players/{player}', 'Erases a player with every mark; it cannot be undone.', status: 204)]
    public function destroy(Request $request, Player $player, KeepPlayer $action): JsonResponse
    {
        Gate::authorize('notes', $player->squad);
        $action->erase($player, $this->user($request));

        return new JsonResponse(null, 204);
    }
}
