<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Squad\KeepPlayer;
use App\Http\Requests\PlayerRequest;
use App\Http\Resources\LookResource;
use App\Http\Resources\PlayerResource;
use App\Http\Resources\PlayerSeasonResource;
use App\Http\Resources\ReminderResource;
use App\Models\DrillVersion;
use App\Models\Player;
use App\Models\Squad;
use App\OpenApi\Delete;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\OpenApi\Put;
use App\Planning\SeasonSpan;
use App\Planning\SquadHistory;
use App\Queries\LooksQuery;
use App\Queries\PlayerSeasonQuery;
use App\Queries\RemindersQuery;
use FleetSparrow\Core\Run\LookCount;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class PlayerController extends Controller
{
    #[
        Get(
            '/players/{player}',
            'One player\'s season: what to say first, and all that stands behind it. The one that goes on, or one that has ended.',
            answers: 'PlayerPage',
            query: ['season?' => 'int'],
        ),
    ]
    public function show(
        Request $request,
        Player $player,
        PlayerSeasonQuery $seasons,
        SquadHistory $history,
        RemindersQuery $reminders,
        LooksQuery $looks,
    ): JsonResponse {
        Gate::authorize('view', $player->squad);
        [$squad, $day] = [$player->squad, $this->day($request)];
        $span = SeasonSpan::tryOf($squad, $day->today(), $request->has('season') ? $request->integer('season') : null) ?? abort(404);
        $noted = $reminders->of([$player->id], $day, $this->user($request)->id);
        $counts = $looks->of($player, $day);
        $names = $counts === [] ? [] : DrillVersion::openTo($squad)->where('is_current', true)
            ->whereIn('slug', array_map(fn (LookCount $one): string => $one->drillSlug, $counts))->pluck('name', 'slug')->all();

        return new JsonResponse(PlayerResource::of($player) + [
            'squadId' => $player->squad_id,
            'squadName' => $squad->name,
            'endedSeasons' => $history->rememberAside($squad, 'ended', fn (): array => SeasonSpan::ended($squad)),
            'reminders' => array_map(ReminderResource::of(...), $noted->ofPlayer($player->id)),
            'isWatched' => in_array($player->id, $noted->watched(), true),
            'looks' => array_map(fn (LookCount $one): array => LookResource::of($one, $names), $counts),
        ] + $history->remember($squad, "player.{$player->id}.{$span->key()}", fn (): array => PlayerSeasonResource::of(
            $seasons->of($player, $span, $day),
            $squad->length_unit,
            $squad->showsChances(),
            $day,
        )));
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
