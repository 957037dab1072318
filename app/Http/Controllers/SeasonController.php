<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Squad\EndSeason;
use App\Http\Resources\SeasonResource;
use App\Models\Squad;
use App\OpenApi\Delete;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\OpenApi\Shape;
use App\Planning\SeasonSpan;
use App\Planning\SquadHistory;
use App\Queries\SquadSeasonQuery;
use App\Queries\TodayQuery;
use FleetSparrow\Core\Season\PlayedForward;
use FleetSparrow\Core\Season\WhatIf;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

#[Shape('SeasonFields', ['name' => 'string', 'endsOn' => 'date'])]
#[Shape('SeasonEnded', ['id' => 'int'])]
class SeasonController extends Controller
{
    #[
        Get(
            '/squads/{squad}/season',
            'Weeks by families by feet, load, plan against actual, and what the next fortnight needs.',
            answers: 'SeasonPage',
            query: ['season?' => 'int'],
        ),
    ]
    public function show(
        Request $request,
        Squad $squad,
        SquadSeasonQuery $seasons,
        SquadHistory $history,
        TodayQuery $today,
    ): JsonResponse {
        Gate::authorize('view', $squad);
        [$day, $coach] = [$this->day($request), $this->user($request)->id];
        $span = SeasonSpan::tryOf($squad, $day->today(), $request->has('season') ? $request->integer('season') : null) ?? abort(404);

        return new JsonResponse([
            'endedSeasons' => SeasonSpan::ended($squad),
            'nextSessionId' => $today->next($squad)?->id,
        ] + $history->remember(
            $squad,
            "season.{$span->key()}.{$coach}",
            fn (): array => SeasonResource::of($seasons->of($squad, $span, $day, $coach), $day),
        ));
    }

    #[
        Get(
            '/squads/{squad}/what-if',
            'The next four weeks played forward on the rules of the weeks behind: as it goes, and if something changes.',
            answers: 'WhatIfAnswer',
        ),
    ]
    public function whatIf(Request $request, Squad $squad, SquadSeasonQuery $seasons, SquadHistory $history): JsonResponse
    {
        Gate::authorize('view', $squad);
        $today = $this->day($request)->today();
        $span = SeasonSpan::current($squad, $today);

        $ahead = function () use ($seasons, $squad, $span, $today): array {
            $played = $seasons->played($squad, $span);
            $plays = array_map(fn (WhatIf $what): ?PlayedForward => PlayedForward::of($played, $today, $what, $squad->id), WhatIf::cases());

            return [
                'weeks' => PlayedForward::WEEKS,
                'plays' => array_map(
                    SeasonResource::forward(...),
                    array_values(array_filter($plays, fn (?PlayedForward $play): bool => $play !== null)),
                ),
            ];
        };

        return new JsonResponse($history->remember($squad, "what-if.{$span->key()}", $ahead));
    }

    #[
        Post(
            '/squads/{squad}/seasons',
            'Ends the season that goes on; the next one begins the day after, and the one that ended stays readable.',
            answers: 'SeasonEnded',
            takes: 'SeasonFields',
            status: 201,
        ),
    ]
    public function store(Request $request, Squad $squad, EndSeason $action): JsonResponse
    {
        Gate::authorize('settings', $squad);
        $today = $this->day($request)->today();
        $from = SeasonSpan::current($squad, $today)->from->iso();
        $request->validate([
            'name' => ['required', 'string', 'max:60'],
            'endsOn' => [
                'bail',
                'required',
                'string',
                'date_format:Y-m-d',
                "after_or_equal:{$from}",
                "before_or_equal:{$today->iso()}",
            ],
        ], [
            'name.*' => 'Give the season a name of at most 60 letters, such as Autumn 2026.',
            'endsOn.*' => "The last day lies between {$from} and today.",
        ]);
        $id = $action->end(
            $squad,
            trim($request->string('name')->toString()),
            CalendarDate::fromIso($request->string('endsOn')->toString()),
            $today,
            $this->user($request),
        );

        return new JsonResponse(['id' => $id], 201);
    }

    #[Delete('/squads/{squad}/seasons/{season}', 'Lets the season that ended last go on.', status: 204)]
    public function destroy(Request $request, Squad $squad, int $season, EndSeason $action): JsonResponse
    {
        Gate::authorize('settings', $squad);
        if (! $action->takeBack($squad, $season, $this->user($request))) {
            throw ValidationException::withMessages(['season' => 'Only the season that ended last can go on.']);
        }

        return new JsonResponse(null, 204);
    }
}
