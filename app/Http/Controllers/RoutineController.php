<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RoutineRequest;
use App\Http\Resources\RoutineResource;
use App\Models\Player;
use App\OpenApi\Get;
use App\OpenApi\Put;
use App\Queries\RoutineQuery;
use FleetSparrow\Core\Home\Routine;
use FleetSparrow\Core\Home\RoutineItem;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

class RoutineController extends Controller
{
    #[
        Get(
            '/players/{player}/routine',
            'A week at home for one player: what that player needs, out of what fits the place. What is not asked is as it was kept last.',
            answers: 'RoutinePage',
            query: [
                'minutes?' => 'int', 'days?' => 'int', 'space?' => "'hallway'|'small-square'|'square'|'lane'", 'wall?' => "'yes'|'no'",
                'helper?' => "'yes'|'no'", 'quiet?' => "'yes'|'no'", 'school?' => "'both-feet'|'other-foot-day'|'records'|'good-ones'",
            ],
        ),
    ]
    public function show(RoutineRequest $request, Player $player, RoutineQuery $routines): JsonResponse
    {
        return new JsonResponse($this->page($request, $player, $this->made($request, $player, $routines)));
    }

    #[
        Put(
            '/players/{player}/routine',
            'Keeps the week as it is proposed for these wishes: the next one keeps most of its drills.',
            answers: 'RoutinePage',
            takes: 'RoutineWishes',
        ),
    ]
    public function update(RoutineRequest $request, Player $player, RoutineQuery $routines): JsonResponse
    {
        $routine = $this->made($request, $player, $routines);
        DB::table('home_routines')->upsert([[
            'player_id' => $player->id,
            'club_id' => $player->club_id,
            'wishes' => json_encode($request->wishes(), JSON_THROW_ON_ERROR),
            'drills' => json_encode(
                array_map(fn (RoutineItem $item): string => $item->drill, $routine->days[0]->items ?? []),
                JSON_THROW_ON_ERROR,
            ),
            'kept_on' => $this->day($request)->today()->iso(),
            'kept_by' => $this->user($request)->id,
        ]], ['player_id'], ['wishes', 'drills', 'kept_on', 'kept_by']);

        return new JsonResponse($this->page($request, $player, $routine));
    }

    private function made(RoutineRequest $request, Player $player, RoutineQuery $routines): Routine
    {
        return $routines->of($player, $request->place(), $request->school(), $this->day($request));
    }

    /** @return array<string, mixed> */
    private function page(RoutineRequest $request, Player $player, Routine $routine): array
    {
        return RoutineResource::of($routine, $request->wishes(), $player, RoutineQuery::kept($player)['keptOn'] ?? null);
    }
}
