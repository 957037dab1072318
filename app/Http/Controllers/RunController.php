<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\RunPackResource;
use App\Http\Resources\SessionResource;
use App\Models\TrainingSession;
use App\OpenApi\Get;
use App\OpenApi\Put;
use App\OpenApi\Shape;
use App\Queries\RunPackQuery;
use App\Support\SquadHistory;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

#[Shape('RunTimes', ['startedAt' => 'instant', 'finishedAt?' => 'instant?'])]
class RunController extends Controller
{
    #[Get('/sessions/{session}/run', 'The run pack: everything a phone needs to run the session by itself.', answers: 'RunPack')]
    public function show(Request $request, TrainingSession $session, RunPackQuery $query): JsonResponse
    {
        Gate::authorize('view', $session->squad);

        return new JsonResponse(RunPackResource::of($query->of($session), $this->day($request)));
    }

    #[Put('/sessions/{session}/run', 'When the run began and ended, as the device says; said twice, it stays the same.', answers: 'SessionSummary', takes: 'RunTimes')]
    public function update(Request $request, TrainingSession $session, SquadHistory $history): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        $request->validate([
            'startedAt' => ['required', 'date'],
            'finishedAt' => ['nullable', 'date', 'after_or_equal:startedAt'],
        ]);
        $session->run_started_at_utc ??= CarbonImmutable::parse($request->string('startedAt')->toString())->utc();
        if ($request->filled('finishedAt')) {
            $session->run_finished_at_utc ??= CarbonImmutable::parse($request->string('finishedAt')->toString())->utc();
        }
        $session->save();
        $history->changed($session->squad_id);

        return new JsonResponse(SessionResource::summary($session, $this->day($request)));
    }
}
