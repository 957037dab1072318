<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Touch\Tally;

/** Adds a running order up: judged parts share one overrun, the doses of the blocks do not. */
final class PlanEvaluator
{
    public const MOST_BLOCKS = 30;

    /**
     * @param  list<Block>  $blocks
     *
     * @throws InvalidPlan If there are more than 30 blocks.
     */
    public static function evaluate(array $blocks, PlanContext $context): PlanEvaluation
    {
        if (count($blocks) > self::MOST_BLOCKS) {
            throw InvalidPlan::because('plan.blocks', 'A session holds at most 30 blocks.');
        }
        $evaluator = new BlockEvaluator($context);
        $judged = DurationEstimate::fixed(0.0);
        $work = DurationEstimate::fixed(0.0);
        $evaluations = [];
        $touches = array_fill_keys(array_map(static fn (PlanPlayer $player): string => $player->id, $context->players), Tally::zero());
        $ground = null;
        $stations = 0;
        foreach ($blocks as $block) {
            $evaluation = $evaluator->evaluate($block, $ground, $stations);
            $judged = $judged->plus($evaluation->judged);
            $work = $work->plus($evaluation->work);
            foreach ($evaluation->touches as $player => $tally) {
                $touches[$player] = ($touches[$player] ?? Tally::zero())->plus($tally);
            }
            $evaluations[] = $evaluation;
            // Water and talk leave the markers where they are; a game takes the ground.
            if ($block->drill !== null) {
                [$ground, $stations] = [$block->drill->layout, $evaluation->stations];
            } elseif ($block->kind === BlockKind::Game) {
                $ground = null;
            }
        }
        $total = $judged->withSharedFactor($context->rules->sharedVariation)->plus($work);

        return new PlanEvaluation($evaluations, $total, FinishTime::of($total), $touches);
    }
}
