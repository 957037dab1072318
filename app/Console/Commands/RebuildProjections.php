<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Plan\CloseRun;
use App\Actions\Record\ProjectMarks;
use App\Models\Club;
use App\Models\TrainingSession;
use App\Queries\PlanEvaluationQuery;
use App\Support\ClubContext;
use App\Support\ClubDay;
use App\Support\SquadHistory;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Console\Command;

class RebuildProjections extends Command
{
    protected $signature = 'sparrow:rebuild {--club= : Only the club of this id}';

    protected $description = 'Work out line days and bests anew from the marks, and what past sessions leave behind for the next';

    public function handle(ProjectMarks $projection, ClubContext $context, PlanEvaluationQuery $evaluations, CloseRun $close, SquadHistory $history): int
    {
        $only = $this->option('club');
        $clubs = Club::query()->when($only !== null, fn ($query) => $query->whereKey($only))->orderBy('id')->get();
        if ($clubs->isEmpty()) {
            $this->error('There is no such club.');

            return self::FAILURE;
        }
        foreach ($clubs as $club) {
            $context->actFor($club->id);
            $counts = $projection->rebuild($club->id);
            $sessions = $this->sessions($club, $evaluations, $close, $history);
            $this->info("{$club->name}: {$counts['players']} players, {$counts['lineDays']} line days, {$counts['bests']} bests, {$sessions} sessions.");
        }
        $context->leave();

        return self::SUCCESS;
    }

    /** In the order they were run: who was with whom in one decides the pairs of the next. */
    private function sessions(Club $club, PlanEvaluationQuery $evaluations, CloseRun $close, SquadHistory $history): int
    {
        $done = 0;
        foreach (TrainingSession::query()->whereNotNull('run_finished_at_utc')->orderBy('starts_at_utc')->orderBy('id')->get() as $session) {
            try {
                $close->keep($session, $evaluations->ofSession($session, ClubDay::of($club)->on($session->starts_at_utc)));
                $history->changed($session->squad_id);
                $done++;
            } catch (CoreException) {
                // Nobody came: nothing is left behind.
            }
        }

        return $done;
    }
}
