<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\RunPackResource;
use App\Http\Resources\SessionResource;
use App\Models\TrainingSession;
use App\Queries\RunPackQuery;
use App\Support\SquadHistory;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class RunController extends Controller
{
    /** Everything a phone needs to run the session by itself. */
    public function show(Request $request, TrainingSession $session, RunPackQuery $query): JsonResponse
    {
        Gate::authorize('view', $session->squad);

        return new JsonResponse(RunPackResource::of($query->of($session), $this->day($request)));
    }

    /** When the run began and ended, as the device says; said twice, it stays the same. */
    public function update(Request $request, TrainingSession $session, SquadHistory $history): JsonResponse
    {
        Gate::authorize('view', $session->squad);
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
