<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Record\TakeLooks;
use App\Models\TrainingSession;
use App\OpenApi\Post;
use App\OpenApi\Shape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Gate;

#[Shape('Look', [
    'uuid' => 'string', 'playerId' => 'int', 'drillSlug' => 'string', 'weight?' => "'short'|'right'|'away'?", 'isFarFoot?' => 'bool?',
    'isAccurate?' => 'bool', 'isRightPace?' => 'bool', 'isClean?' => 'bool', 'lookedAt' => 'instant',
])]
#[Shape('LookBatch', ['looks' => 'Look[]'])]
class LookController extends Controller
{
    #[Post(
        '/sessions/{session}/looks',
        'Single balls of the player in focus, judged in a run: a result for each, in the order sent.',
        answers: 'MarkResults',
        takes: 'LookBatch',
    )]
    public function store(Request $request, TrainingSession $session, TakeLooks $action): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        $most = Config::integer('training.marks_per_batch');
        $request->validate(
            ['looks' => ['required', 'array', "max:{$most}"]],
            ['looks.max' => "Send at most {$most} at once.", 'looks.required' => 'There is nothing in this batch.'],
        );

        return new JsonResponse([
            'results' => $action->take($session, array_values($request->array('looks')), $this->user($request)),
        ]);
    }
}
