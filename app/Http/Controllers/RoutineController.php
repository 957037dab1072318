<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Home\KeepRoutines;
use App\Http\Requests\RoutineRequest;
use App\Http\Resources\RoutineResource;
use App\Models\Player;
use App\OpenApi\Get;
use App\OpenApi\Put;
use App\Planning\KeptRoutine;
use App\Planning\RoutineWishes;
use App\Queries\RoutineQuery;
use FleetSparrow\Core\Home\Routine;
use Illuminate\Http\JsonResponse;

class RoutineController extends Controller
{
    #[
        Get(
            '/players/{player}/routine',
            'A week at home for one player: what that player needs, out of what fits the place. What is not asked is as it was kept last.',
            answers: 'RoutinePage',
            query: [
                'minutes?' => 'int', 'days?' => 'int', 'space?' => "'hallway'|'small-square'|'square'|'lane'",
                'wall?' => "'no'|'couch'|'yes'", 'helper?' => "'yes'|'no'", 'quiet?' => "'yes'|'no'", 'kit?' => "'things'|'ball'|'nothing'",
                'school?' => "'both-feet'|'other-foot-day'|'records'|'good-ones'", 'with?' => 'string', 'without?' => 'string',
            ],
        ),
    ]
    public function show(RoutineRequest $request, Player $player, RoutineQuery $routines): JsonResponse
    {
        return new JsonResponse(RoutineResource::of($this->made($request, $player, $routines), $player));
    }

    #[
        Put(
            '/players/{player}/routine',
            'Keeps the week as it is proposed for these wishes: the next one keeps most of its drills.',
            answers: 'RoutinePage',
            takes: 'RoutineWishes',
        ),
    ]
    public function update(RoutineRequest $request, Player $player, RoutineQuery $routines, KeepRoutines $action): JsonResponse
    {
        $made = $this->made($request, $player, $routines);
        $action->keep($player->squad, [$player->id => $made], $this->user($request), $this->day($request));

        return new JsonResponse(RoutineResource::of($this->made($request, $player, $routines), $player));
    }

    /** @return array{routine: Routine, wishes: RoutineWishes, kept: KeptRoutine|null} */
    private function made(RoutineRequest $request, Player $player, RoutineQuery $routines): array
    {
        return $routines->of($player->squad, [$player->id], $request->wishes(), $this->day($request))[$player->id];
    }
}
