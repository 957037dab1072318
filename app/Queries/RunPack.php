<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Mark;
use App\Models\Player;
use App\Models\RecordLine;
use App\Models\TrainingSession;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Record\Aim;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Run\Reminders;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use Illuminate\Support\Collection;

/** Everything a device needs to run one session without a network. */
final readonly class RunPack
{
    /**
     * @param  Collection<int, Player>  $players  those coming
     * @param  array<string, string>  $lineKeys  block id, item and side → line key
     * @param  array<string, RecordLine>  $lines  by key
     * @param  array<int, array<string, LineReading>>  $readings  player id → line key → reading, of the session's lines
     * @param  array<string, Aim>  $aims  by line key
     * @param  array<int, list<BlockEvaluation>>  $tables  number of people → blocks, where others come than were planned
     * @param  array<string, array{easier: string|null, harder: string|null}>  $steps  drill's slug → what is one step easier and harder
     * @param  Collection<int, Player>  $others  of the squad, who are not coming
     * @param  list<Mark>  $taken  numbers of this session that were taken already, from whatever phone
     * @param  array<string, list<int>>  $mayNot  block id → players who may not work in it today
     * @param  Reminders  $reminders  as whoever asks may see them
     */
    public function __construct(
        public TrainingSession $session,
        public PlanEvaluation $evaluation,
        public Collection $players,
        public array $lineKeys,
        public array $lines,
        public array $readings,
        public array $aims,
        public array $tables,
        public array $steps,
        public Collection $others,
        public array $taken,
        public array $mayNot,
        public Reminders $reminders,
    ) {
    }

    /** Where the line of a block's number, or of an item of its circuit, is found among the line keys. */
    public static function lineKey(string $blockId, ?int $item, string $side): string
    {
        return "{$blockId} {$item} {$side}";
    }
}
