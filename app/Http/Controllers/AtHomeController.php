<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Home\TakePractice;
use App\Http\Resources\AtHomeResource;
use App\Models\HomeLink;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\OpenApi\Shape;
use App\Queries\HomePracticeQuery;
use App\Queries\HomeWeekQuery;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A player's page at home, with "Authorization: Bearer" and the secret of the player's link. */
#[Shape('PractisedNumber', ['lineKey' => 'string', 'value' => 'number', 'parts?' => 'MarkParts?'])]
#[Shape('Practised', [
    'uuid' => 'string', 'drill' => 'string', 'on' => 'date', 'felt?' => "'easy'|'right'|'hard'?", 'numbers' => 'PractisedNumber[]',
])]
#[Shape('PractisedFields', ['phoneToday' => 'date', 'phone' => 'string', 'practised' => 'Practised[]'])]
#[Shape('PractisedResult', [
    'index' => 'int', 'uuid' => 'string?', 'status' => "'accepted'|'duplicate'|'refused'", 'message?' => 'string',
])]
#[Shape('PractisedResults', ['results' => 'PractisedResult[]'])]
class AtHomeController extends Controller
{
    private const AT_ONCE = 30;

    #[
        Get(
            '/at-home',
            'The week of the player whose link this is, as it was kept, with all a phone needs without a network.',
            answers: 'AtHome',
        ),
    ]
    public function show(Request $request, HomeWeekQuery $weeks, HomePracticeQuery $practice): JsonResponse
    {
        $link = $this->link($request);
        $player = $link->player;
        $day = $player->club->day();
        $today = $day->today();
        if ($link->seen_on?->format('Y-m-d') !== $today->iso()) {
            $link->forceFill(['seen_on' => $today->iso()])->save();
        }

        return new JsonResponse(AtHomeResource::of(
            link: $link,
            week: $weeks->of($player->squad, [$player])[$player->id] ?? null,
            days: $practice->days([$player->id], $today)[$player->id] ?? [],
            day: $day,
        ));
    }

    #[
        Post(
            '/at-home/practice',
            'What the player practised, each kept once and apart from every record until a coach confirms it.',
            answers: 'PractisedResults',
            takes: 'PractisedFields',
        ),
    ]
    public function take(Request $request, TakePractice $action): JsonResponse
    {
        $request->validate([
            'phoneToday' => ['bail', 'required', 'string', 'date_format:Y-m-d'],
            'phone' => ['required', 'string', 'max:12'],
            'practised' => ['required', 'array', 'list', 'max:'.self::AT_ONCE],
        ], [
            'phoneToday.*' => 'The phone must say which day it is there.',
            'phone.*' => 'A phone names itself in at most twelve letters.',
            'practised.*' => 'Between 1 and '.self::AT_ONCE.' at once.',
        ]);
        $player = $this->link($request)->player;

        return new JsonResponse(['results' => $action->take(
            squad: $player->squad,
            player: $player,
            items: array_values($request->array('practised')),
            phoneToday: CalendarDate::fromIso($request->string('phoneToday')->toString()),
            day: $player->club->day(),
            source: 'link',
            phone: $request->string('phone')->toString(),
        )]);
    }

    private function link(Request $request): HomeLink
    {
        $link = $request->attributes->get(HomeLink::class);
        assert($link instanceof HomeLink);

        return $link;
    }
}
