<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Models\TrainingSession;
use App\Planning\SquadHistory;
use FleetSparrow\Core\Plan\HowHard;
use Illuminate\Support\Facades\DB;

/** Keeps what was said after a session; whether its run teaches anything changes what the next plans go by. */
final class KeepRecap
{
    public function __construct(private readonly SquadHistory $history)
    {
    }

    public function run(TrainingSession $session, string $answers, ?HowHard $howHard, bool $isOnlyTried): void
    {
        DB::transaction(function () use ($session, $answers, $howHard, $isOnlyTried): void {
            $session->update(['recap_answers' => $answers, 'recap_how_hard' => $howHard, 'is_only_tried' => $isOnlyTried]);
            if ($session->wasChanged('is_only_tried')) {
                $this->history->changed($session->squad_id);
            }
        }, attempts: 3);
    }
}
