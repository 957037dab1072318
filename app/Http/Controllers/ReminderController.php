<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Record\TakeReminders;
use App\Models\TrainingSession;
use App\OpenApi\Post;
use App\OpenApi\Shape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Gate;

#[Shape('ReminderEvent', [
    'uuid' => 'string', 'playerId' => 'int', 'kind' => "'said'|'again'|'fixed'|'watch'|'seen'", 'words?' => 'string',
    'notedAt' => 'instant',
])]
#[Shape('ReminderBatch', ['events' => 'ReminderEvent[]'])]
class ReminderController extends Controller
{
    #[Post(
        '/sessions/{session}/reminders',
        'What was noted beside names in a run: a result for each, in the order sent.',
        answers: 'MarkResults',
        takes: 'ReminderBatch',
    )]
    public function store(Request $request, TrainingSession $session, TakeReminders $action): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        $most = Config::integer('training.marks_per_batch');
        $request->validate(
            ['events' => ['required', 'array', "max:{$most}"]],
            ['events.max' => "Send at most {$most} reminders at once.", 'events.required' => 'There are no reminders in this batch.'],
        );

        return new JsonResponse([
            'results' => $action->take($session, array_values($request->array('events')), $this->user($request)),
        ]);
    }
}
