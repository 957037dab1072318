<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Record\OpenPaperDay;
use App\Models\Squad;
use App\OpenApi\Post;
use App\OpenApi\Shape;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

#[Shape('PaperFields', ['on' => 'date', 'playerIds' => 'int[]'])]
#[Shape('PaperDay', ['sessionId' => 'int', 'tries' => 'int{}{}'])]
class PaperController extends Controller
{
    private const YEARS = 5;

    #[
        Post(
            '/squads/{squad}/paper-days',
            'A session to write numbers from paper to: the one that was run that day, or one that is nothing but its numbers.',
            answers: 'PaperDay',
            takes: 'PaperFields',
        ),
    ]
    public function store(Request $request, Squad $squad, OpenPaperDay $action): JsonResponse
    {
        Gate::authorize('plan', $squad);
        $day = $this->day($request);
        $today = $day->today();
        $oldest = CalendarDate::fromIso(sprintf('%04d-01-01', $today->year - self::YEARS))->iso();
        $request->validate([
            'on' => [
                'bail',
                'required',
                'string',
                'date_format:Y-m-d',
                "before_or_equal:{$today->iso()}",
                "after_or_equal:{$oldest}",
            ],
            'playerIds' => ['required', 'array', 'min:1', 'max:60'],
            'playerIds.*' => ['integer'],
        ], [
            'on.*' => "Say which day the numbers are of: a day such as 2026-03-05, from {$oldest} to today.",
            'playerIds.*' => 'There is no number yet.',
        ]);
        $own = $squad->players->whereIn('id', $request->array('playerIds'))->modelKeys();
        abort_if($own === [], 404);
        $session = $action->open(
            $squad,
            CalendarDate::fromIso($request->string('on')->toString()),
            array_values(array_map(intval(...), $own)),
            $day,
        );

        return new JsonResponse([
            'sessionId' => $session->id,
            'tries' => (object) array_map(fn (array $tries): object => (object) $tries, $action->tries($session)),
        ]);
    }
}
