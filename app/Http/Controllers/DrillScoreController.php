<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Squad;
use App\OpenApi\Post;
use App\OpenApi\Shape;
use App\Queries\DrillBookQuery;
use FleetSparrow\Core\Exception\InvalidRecord;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

#[Shape('ScoreSheet', ['seconds' => 'number', 'counts' => 'int{}'])]
#[Shape('Score', ['seconds' => 'number', 'timeSeconds' => 'number', 'penaltySeconds' => 'number', 'lines' => 'string[]'])]
class DrillScoreController extends Controller
{
    #[
        Post(
            '/squads/{squad}/drills/{slug}/score',
            'Works out the score of a protocol from the time and the penalties; nothing is kept.',
            answers: 'Score',
            takes: 'ScoreSheet',
        ),
    ]
    public function __invoke(Request $request, Squad $squad, string $slug, DrillBookQuery $book): JsonResponse
    {
        Gate::authorize('run', $squad);
        $protocol = $book->version($squad, $slug)?->drill()->rule->protocol ?? abort(404);
        $request->validate(
            ['seconds' => ['required', 'numeric'], 'counts' => ['present', 'array'], 'counts.*' => ['integer']],
            ['seconds.*' => 'Enter the time in seconds.', 'counts.*' => 'Count in whole numbers.'],
        );
        try {
            $score = $protocol->score($request->float('seconds'), array_map(intval(...), (array) $request->input('counts')));
        } catch (InvalidRecord $fault) {
            throw ValidationException::withMessages([$fault->path() => [$fault->getMessage()]]);
        }

        return new JsonResponse(
            [
                'seconds' => $score->seconds(),
                'timeSeconds' => $score->timeSeconds,
                'penaltySeconds' => round($score->penaltySeconds, 1),
                'lines' => $score->lines,
            ],
        );
    }
}
