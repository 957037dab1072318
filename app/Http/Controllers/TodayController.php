<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\ReminderResource;
use App\Http\Resources\SessionResource;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\OpenApi\Get;
use App\OpenApi\Shape;
use App\Planning\PlanDraft;
use App\Queries\PlanEvaluationQuery;
use App\Queries\RemindersQuery;
use App\Queries\TodayQuery;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

#[Shape('TodaySession', ['evaluation' => 'Evaluation?', 'problem' => 'string?'], extends: 'Session')]
#[
    Shape(
        'RecordSet',
        [
            'playerId' => 'int',
            'playerName' => 'string',
            'drillName' => 'string',
            'side' => "'R'|'L'|'both'|'alternating'",
            'value' => 'number',
            'unit' => 'string',
        ],
    ),
]
#[Shape('LastSession', ['records' => 'RecordSet[]'], extends: 'SessionSummary')]
#[Shape('StaleFamily', ['family' => 'string', 'lastOn' => 'date', 'days' => 'int'])]
#[Shape('UpcomingSession', ['week' => "'this'|'next'|'later'"], extends: 'SessionSummary')]
#[
    Shape(
        'Today',
        [
            'today' => 'date',
            'seasonWeek' => 'int?',
            'next' => 'TodaySession?',
            'last' => 'LastSession?',
            'stale' => 'StaleFamily[]',
            'upcoming' => 'UpcomingSession[]',
            'reminders' => 'OpenReminder[]',
            'watchedIds' => 'int[]',
            'fromHome' => 'int',
        ],
    ),
]
class TodayController extends Controller
{
    #[Get('/squads/{squad}/today', 'What a coach wants to know before leaving for the pitch.', answers: 'Today')]
    public function __invoke(
        Request $request,
        Squad $squad,
        TodayQuery $query,
        PlanEvaluationQuery $evaluations,
        RemindersQuery $reminders,
    ): JsonResponse {
        Gate::authorize('view', $squad);
        $day = $this->day($request);
        $next = $query->next($squad)?->setRelation('squad', $squad);
        $last = $query->last($squad);
        $noted = $reminders->of(array_values(array_map(intval(...), $squad->players->modelKeys())), $day, $this->user($request)->id);

        return new JsonResponse([
            'today' => $day->today()->iso(),
            'seasonWeek' => $squad->season_starts_on === null ? null : $day->seasonWeek($squad->season_starts_on),
            'next' => $next === null ? null : SessionResource::of($next, $day) + $this->evaluated($request, $squad, $next, $evaluations),
            'last' => $last === null
                ? null
                : SessionResource::summary($last, $day) + ['records' => $query->recordsSetOn($squad, $day->on($last->starts_at_utc))],
            'stale' => $query->stale($squad, $day),
            'upcoming' => $squad->trainingSessions()
                ->whereNull('run_finished_at_utc')
                ->where('starts_at_utc', '>=', now()->subHours(12))
                ->orderBy('starts_at_utc')
                ->limit(6)
                ->get()
                ->map(
                    fn (TrainingSession $session): array => SessionResource::summary($session, $day)
                        + ['week' => $day->week($session->starts_at_utc)],
                )->all(),
            'reminders' => ReminderResource::open($noted->open()),
            'watchedIds' => $noted->watched(),
            'fromHome' => $query->fromHome($squad),
        ]);
    }

    /** @return array{evaluation: mixed, problem: string|null} */
    private function evaluated(Request $request, Squad $squad, TrainingSession $session, PlanEvaluationQuery $evaluations): array
    {
        try {
            $evaluation = $evaluations->told(
                $squad,
                PlanDraft::ofSession($session, $session->comingPlayerIds()),
                $this->day($request)->on($session->starts_at_utc),
                $this->user($request)->id,
            );

            return ['evaluation' => json_decode($evaluation, flags: JSON_THROW_ON_ERROR), 'problem' => null];
        } catch (CoreException $refusal) {
            return ['evaluation' => null, 'problem' => $refusal->getMessage()];
        }
    }
}
