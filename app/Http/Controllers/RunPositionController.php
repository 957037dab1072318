<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\TellPosition;
use App\Models\TrainingSession;
use App\OpenApi\Get;
use App\OpenApi\Put;
use App\OpenApi\Shape;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use stdClass;

/** One device conducts a run, others follow. */
#[Shape('PositionTold', [
    'device' => 'string', 'segmentId' => 'string?', 'state' => "'running'|'paused'|'frozen'|'over'", 'remainingMs' => 'int',
    'takeOver?' => 'bool',
])]
#[Shape('Position', [
    'device' => 'string', 'by' => 'string', 'segmentId' => 'string?', 'state' => "'running'|'paused'|'frozen'|'over'",
    'remainingMs' => 'int', 'agoMs' => 'int',
])]
#[Shape('RunPosition', ['position' => 'Position?'])]
class RunPositionController extends Controller
{
    #[Get(
        '/sessions/{session}/position',
        'Where a run stands on the device that conducts it; null where none does.',
        answers: 'RunPosition',
    )]
    public function show(TrainingSession $session): JsonResponse
    {
        Gate::authorize('view', $session->squad);

        return self::answer(TellPosition::of($session));
    }

    #[Put(
        '/sessions/{session}/position',
        'Where the run stands here. Answers with what the device that conducts said: another one, unless this took over.',
        answers: 'RunPosition',
        takes: 'PositionTold',
    )]
    public function update(Request $request, TrainingSession $session, TellPosition $action): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        $request->validate([
            'device' => ['required', 'uuid'],
            'segmentId' => ['nullable', 'string', 'max:60'],
            'state' => ['required', Rule::in(['running', 'paused', 'frozen', 'over'])],
            'remainingMs' => ['required', 'integer', 'min:-86400000', 'max:86400000'],
            'takeOver' => ['boolean'],
        ]);
        $action->tell($session, [
            'device' => $request->string('device')->toString(),
            'segmentId' => $request->filled('segmentId') ? $request->string('segmentId')->toString() : null,
            'state' => $request->string('state')->toString(),
            'remainingMs' => $request->integer('remainingMs'),
            'takeOver' => $request->boolean('takeOver'),
        ], $this->user($request));

        return self::answer(TellPosition::of($session));
    }

    private static function answer(?stdClass $told): JsonResponse
    {
        return new JsonResponse(['position' => $told === null ? null : [
            'device' => $told->device,
            'by' => $told->by ?? 'Somebody',
            'segmentId' => $told->segment_key,
            'state' => $told->state,
            'remainingMs' => (int) $told->remaining_ms,
            'agoMs' => max(0, (int) CarbonImmutable::parse((string) $told->told_at_utc, 'UTC')->diffInMilliseconds(TellPosition::now())),
        ]]);
    }
}
