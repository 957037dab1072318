<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\RecordLine;
use App\Models\TrainingSession;
use App\Planning\PlanDraft;
use FleetSparrow\Core\Shared\CalendarDate;

final class RunPackQuery
{
    public function __construct(private readonly PlanEvaluationQuery $evaluations, private readonly RecordQuery $records)
    {
    }

    /** @throws \FleetSparrow\Core\Exception\CoreException If the session cannot be evaluated, as when nobody is coming. */
    public function of(TrainingSession $session, CalendarDate $day, ?int $coachId): RunPack
    {
        $session->load(['blocks.drillVersion', 'attendances', 'overrides', 'squad.players']);
        $playerIds = $session->comingPlayerIds();
        $players = $session->squad->players->whereIn('id', $playerIds)->values();
        $evaluation = $this->evaluations->evaluate($session->squad, PlanDraft::ofSession($session, $playerIds), $day, $coachId);
        $lineKeys = $this->lineKeys($session);
        $wanted = array_values(array_unique($lineKeys));
        $readings = $this->records->readings($playerIds, $wanted);

        return new RunPack(
            $session,
            $evaluation,
            $players,
            $lineKeys,
            RecordLine::query()->whereKey($wanted)->get()->keyBy('line_key')->all(),
            $readings,
        );
    }

    /** @return array<string, string> block id, item and side → line key, see RunPack::lineKey */
    private function lineKeys(TrainingSession $session): array
    {
        $keys = [];
        foreach ($session->blocks as $block) {
            foreach ($block->coreBlock()?->lines($session->squad->ballSize()) ?? [] as $line) {
                $keys[RunPack::lineKey($block->block_key, $line->item, $line->side->value)] = $line->task->key;
            }
        }

        return $keys;
    }
}
