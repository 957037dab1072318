<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\CloseRun;
use App\Http\Resources\RunPackResource;
use App\Http\Resources\SessionResource;
use App\Models\TrainingSession;
use App\OpenApi\Get;
use App\OpenApi\Put;
use App\OpenApi\Shape;
use App\Queries\RunPackQuery;
use App\Rules\Instant;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Timeline\SegmentKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

#[
    Shape(
        'PartTime',
        [
            'segmentId' => 'string', 'part' => "'set-up'|'explain'|'work'|'rest'|'write'|'change'|'water'|'talk'|'game'",
            'plannedSeconds' => 'number', 'actualSeconds' => 'number', 'blockId?' => 'string', 'expectedSeconds?' => 'number',
            'pausedSeconds?' => 'number', 'frozenSeconds?' => 'number',
        ],
    ),
]
#[Shape('CallMade', ['blockId' => 'string', 'place' => 'int', 'answer' => "'hit'|'slow'?"])]
#[Shape('Missed', ['blockId' => 'string', 'playerIds' => 'int[]'])]
#[Shape('RunTimes', [
    'startedAt' => 'instant', 'finishedAt?' => 'instant?', 'parts?' => 'PartTime[]', 'presentIds?' => 'int[]', 'missed?' => 'Missed[]',
    'calls?' => 'CallMade[]',
])]
class RunController extends Controller
{
    #[Get('/sessions/{session}/run', 'The run pack: everything a phone needs to run the session by itself.', answers: 'RunPack')]
    public function show(Request $request, TrainingSession $session, RunPackQuery $query): JsonResponse
    {
        Gate::authorize('view', $session->squad);

        return new JsonResponse(
            RunPackResource::of(
                $query->of($session, $this->day($request), $this->user($request)->id),
                $this->day($request),
            ),
        );
    }

    #[
        Put(
            '/sessions/{session}/run',
            'When the run began and ended, as the device says, and how long its judged parts took; said twice, it stays the same.',
            answers: 'SessionSummary',
            takes: 'RunTimes',
        ),
    ]
    public function update(Request $request, TrainingSession $session, CloseRun $close): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        $request->validate([
            'startedAt' => ['bail', 'required', 'string', new Instant],
            'finishedAt' => ['bail', 'nullable', 'string', new Instant],
            'presentIds' => ['array', 'max:60'],
            'presentIds.*' => ['integer'],
            'missed' => ['array', 'max:60'],
            'missed.*.blockId' => ['required', 'string', 'max:60'],
            'missed.*.playerIds' => ['present', 'array', 'max:60'],
            'missed.*.playerIds.*' => ['integer'],
            'parts' => ['array', 'max:1000'],
            'parts.*.segmentId' => ['required', 'string', 'max:60'],
            'parts.*.part' => ['required', Rule::enum(SegmentKind::class)],
            'parts.*.plannedSeconds' => ['required', 'numeric', 'min:0', 'max:7200'],
            'parts.*.actualSeconds' => ['required', 'numeric', 'min:0', 'max:7200'],
            'parts.*.blockId' => ['string', 'max:60'],
            'parts.*.expectedSeconds' => ['numeric', 'min:0', 'max:14400'],
            'parts.*.pausedSeconds' => ['numeric', 'min:0', 'max:14400'],
            'parts.*.frozenSeconds' => ['numeric', 'min:0', 'max:14400'],
            'calls' => ['array', 'max:2000'],
            'calls.*.blockId' => ['required', 'string', 'max:60'],
            'calls.*.place' => ['required', 'integer', 'min:0', 'max:1000'],
            'calls.*.answer' => ['nullable', Rule::in(['hit', 'slow'])],
        ]);
        /** @var list<array{segmentId: string, part: string, plannedSeconds: float, actualSeconds: float}> $parts */
        $parts = array_values($request->array('parts'));
        $startedAt = CarbonImmutable::parse($request->string('startedAt')->toString());
        $finishedAt = $request->filled('finishedAt') ? CarbonImmutable::parse($request->string('finishedAt')->toString()) : null;
        if ($finishedAt?->lessThan($startedAt) === true) {
            throw ValidationException::withMessages(['finishedAt' => 'A session ends after it has begun.']);
        }
        $present = $request->has('presentIds') ? array_map(intval(...), array_values($request->array('presentIds'))) : null;
        $missed = [];
        /** @var array{blockId: string, playerIds: array<array-key, int|numeric-string>} $one */
        foreach ($request->array('missed') as $one) {
            $missed[$one['blockId']] = array_map(intval(...), array_values($one['playerIds']));
        }
        /** @var list<array{blockId: string, place: int, answer?: string|null}> $calls */
        $calls = array_values($request->array('calls'));
        $session = $close->run(
            session: $session,
            startedAt: $startedAt,
            finishedAt: $finishedAt,
            parts: $parts,
            by: $this->user($request),
            present: $present,
            missed: $missed,
            calls: $calls,
        );

        return new JsonResponse(SessionResource::summary($session, $this->day($request)));
    }
}
