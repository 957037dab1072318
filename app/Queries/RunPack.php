<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Player;
use App\Models\RecordLine;
use App\Models\TrainingSession;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Record\LineReading;
use Illuminate\Support\Collection;

/** Everything a device needs to run one session without a network. */
final readonly class RunPack
{
    /**
     * @param  Collection<int, Player>  $players  those coming
     * @param  array<string, array<string, string>>  $lineKeys  block id → side → line key
     * @param  array<string, RecordLine>  $lines  by key
     * @param  array<int, array<string, LineReading>>  $readings  player id → line key → reading, of the session's lines
     */
    public function __construct(
        public TrainingSession $session,
        public PlanEvaluation $evaluation,
        public Collection $players,
        public array $lineKeys,
        public array $lines,
        public array $readings,
    ) {
    }
}
