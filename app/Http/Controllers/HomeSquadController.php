<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Home\AnswerPractice;
use App\Actions\Home\KeepRoutines;
use App\Actions\Home\OpenHomeLinks;
use App\Actions\Home\TakePractice;
use App\Http\Requests\RoutineRequest;
use App\Http\Resources\HomeSheetResource;
use App\Http\Resources\HomeSquadResource;
use App\Models\Squad;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\OpenApi\Put;
use App\OpenApi\Shape;
use App\Queries\HomeSquadQuery;
use App\Queries\HomeWeekQuery;
use App\Queries\RoutineQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Home practice of a whole squad: weeks, links, sheets, and what comes back. */
#[Shape('HomeAnswer', ['confirm' => 'string[]', 'leaveOut' => 'string[]'])]
#[Shape('SheetNumbers', ['uuid' => 'string', 'playerId' => 'int', 'drill' => 'string', 'on' => 'date', 'numbers' => 'PractisedNumber[]'])]
#[Shape('SheetFields', ['sheets' => 'SheetNumbers[]'])]
class HomeSquadController extends Controller
{
    private const AT_ONCE = 400;

    #[
        Get(
            '/squads/{squad}/home',
            'Who has a week at home and an open page, who practised when, and what waits for a coach\'s word.',
            answers: 'HomeSquad',
        ),
    ]
    public function show(Request $request, Squad $squad, HomeSquadQuery $home): JsonResponse
    {
        Gate::authorize('view', $squad);

        return $this->page($request, $squad, $home);
    }

    #[
        Put(
            '/squads/{squad}/home-routines',
            'Keeps a week at home for everybody, each by their own needs. What is not said is as each player\'s was kept.',
            answers: 'HomeSquad',
            takes: 'RoutineWishes',
        ),
    ]
    public function keep(
        RoutineRequest $request,
        Squad $squad,
        RoutineQuery $routines,
        KeepRoutines $action,
        HomeSquadQuery $home,
    ): JsonResponse {
        $players = self::playerIds($squad);
        $day = $this->day($request);
        $action->keep($squad, $routines->of($squad, $players, $request->wishes(), $day), $this->user($request), $day);

        return $this->page($request, $squad, $home);
    }

    #[
        Put(
            '/squads/{squad}/home-links',
            'Opens everybody\'s page at home, or keeps it open for twelve weeks more.',
            answers: 'HomeSquad',
        ),
    ]
    public function open(Request $request, Squad $squad, OpenHomeLinks $action, HomeSquadQuery $home): JsonResponse
    {
        Gate::authorize('plan', $squad);
        self::playerIds($squad);
        $action->open($squad->players, $this->user($request));

        return $this->page($request, $squad, $home);
    }

    #[
        Get(
            '/squads/{squad}/home-sheets',
            'Everybody\'s week as it was kept, to print, with the code of the page at home.',
            answers: 'HomeSheets',
        ),
    ]
    public function sheets(Request $request, Squad $squad, HomeWeekQuery $weeks): JsonResponse
    {
        Gate::authorize('plan', $squad);

        return new JsonResponse(HomeSheetResource::of($squad, $weeks->of($squad, $squad->players), $this->day($request)));
    }

    #[
        Post(
            '/squads/{squad}/home-sheets',
            'Numbers from sheets of paper, each kept once; they wait with the others for a coach\'s word.',
            answers: 'PractisedResults',
            takes: 'SheetFields',
        ),
    ]
    public function take(Request $request, Squad $squad, TakePractice $action): JsonResponse
    {
        Gate::authorize('plan', $squad);
        $request->validate(
            ['sheets' => ['required', 'array', 'list', 'max:'.self::AT_ONCE]],
            ['sheets.*' => 'Between 1 and '.self::AT_ONCE.' at once.'],
        );
        $day = $this->day($request);
        $sheets = array_values($request->array('sheets'));
        $results = [];
        $players = $squad->players->keyBy('id');
        $byPlayer = [];
        foreach ($sheets as $index => $sheet) {
            $byPlayer[is_array($sheet) && is_int($sheet['playerId'] ?? null) ? $sheet['playerId'] : 0][$index] = $sheet;
        }
        foreach ($byPlayer as $playerId => $own) {
            $player = $players->get($playerId);
            $said = $player === null
                ? array_fill(0, count($own), ['uuid' => null, 'status' => 'refused', 'message' => 'This player is not in the squad.'])
                : $action->take($squad, $player, array_values($own), $day->today(), $day, 'paper');
            foreach (array_keys($own) as $i => $index) {
                $results[$index] = ['index' => $index] + $said[$i];
            }
        }
        ksort($results);

        return new JsonResponse(['results' => array_values($results)]);
    }

    #[
        Post(
            '/squads/{squad}/home-answers',
            'A coach\'s word on what waits: confirmed becomes numbers from home, left out stays apart.',
            answers: 'HomeSquad',
            takes: 'HomeAnswer',
        ),
    ]
    public function answer(Request $request, Squad $squad, AnswerPractice $action, HomeSquadQuery $home): JsonResponse
    {
        Gate::authorize('plan', $squad);
        $request->validate([
            'confirm' => ['present', 'array', 'max:'.self::AT_ONCE],
            'confirm.*' => ['string', 'max:36'],
            'leaveOut' => ['present', 'array', 'max:'.self::AT_ONCE],
            'leaveOut.*' => ['string', 'max:36'],
        ]);
        $words = static fn (string $name): array => array_values(array_filter($request->array($name), is_string(...)));
        $action->answer($squad, $words('confirm'), $words('leaveOut'), $this->user($request), $this->day($request));

        return $this->page($request, $squad, $home);
    }

    private function page(Request $request, Squad $squad, HomeSquadQuery $home): JsonResponse
    {
        $day = $this->day($request);

        return new JsonResponse(HomeSquadResource::of($home->of($squad, $day), $day));
    }

    /**
     * @return non-empty-list<int>
     *
     * @throws ValidationException If nobody is in the squad yet.
     */
    private static function playerIds(Squad $squad): array
    {
        $ids = array_values(array_map(intval(...), $squad->players->modelKeys()));
        if ($ids === []) {
            throw ValidationException::withMessages(['players' => 'Nobody is in the squad yet. Add the players first.']);
        }

        return $ids;
    }
}
