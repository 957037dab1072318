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
use App\Queries\PlanEvaluationQuery;
use App\Queries\RunPackQuery;
use App\Support\SquadHistory;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

#[Shape('PartTime', ['segmentId' => 'string', 'part' => "'set-up'|'explain'|'change'", 'plannedSeconds' => 'number', 'actualSeconds' => 'number'])]
#[Shape('RunTimes', ['startedAt' => 'instant', 'finishedAt?' => 'instant?', 'parts?' => 'PartTime[]'])]
class RunController extends Controller
{
    #[Get('/sessions/{session}/run', 'The run pack: everything a phone needs to run the session by itself.', answers: 'RunPack')]
    public function show(Request $request, TrainingSession $session, RunPackQuery $query): JsonResponse
    {
        Gate::authorize('view', $session->squad);

        return new JsonResponse(RunPackResource::of($query->of($session, $this->day($request)->on($session->starts_at_utc), $this->user($request)->id), $this->day($request)));
    }

    #[Put('/sessions/{session}/run', 'When the run began and ended, as the device says, and how long its judged parts took; said twice, it stays the same.', answers: 'SessionSummary', takes: 'RunTimes')]
    public function update(Request $request, TrainingSession $session, SquadHistory $history, CloseRun $close, PlanEvaluationQuery $evaluations): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        $request->validate([
            'startedAt' => ['required', 'date'],
            'finishedAt' => ['nullable', 'date', 'after_or_equal:startedAt'],
            'parts' => ['array', 'max:400'],
            'parts.*.segmentId' => ['required', 'string', 'max:60'],
            'parts.*.part' => ['required', 'in:set-up,explain,change'],
            'parts.*.plannedSeconds' => ['required', 'numeric', 'min:0.1', 'max:7200'],
            'parts.*.actualSeconds' => ['required', 'numeric', 'min:0', 'max:7200'],
        ]);
        $isClosing = $request->filled('finishedAt') && $session->run_finished_at_utc === null;
        $session->run_started_at_utc ??= CarbonImmutable::parse($request->string('startedAt')->toString())->utc();
        if ($isClosing) {
            $session->run_finished_at_utc = CarbonImmutable::parse($request->string('finishedAt')->toString())->utc();
            $this->close($request, $session, $close, $evaluations);
        }
        $session->save();
        $history->changed($session->squad_id);

        return new JsonResponse(SessionResource::summary($session, $this->day($request)));
    }

    private function close(Request $request, TrainingSession $session, CloseRun $close, PlanEvaluationQuery $evaluations): void
    {
        /** @var list<array{segmentId: string, part: string, plannedSeconds: float, actualSeconds: float}> $parts */
        $parts = array_values($request->array('parts'));
        $close->keepTimes($session, $parts, $this->user($request));
        try {
            $close->keep($session, $evaluations->ofSession($session, $this->day($request)->on($session->starts_at_utc)));
        } catch (CoreException) {
            // Nobody came: nothing is left behind.
        }
    }
}
