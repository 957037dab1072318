<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Touch\Tally;

/** Adds a running order up: judged parts share one overrun, the doses of the blocks do not. */
final class PlanEvaluator
{
    public const MOST_BLOCKS = 30;

    /** Minutes of work after which there should have been water (default). */
    private const WATER_MINUTES = 20.0;

    /**
     * @param  list<Block>  $blocks
     * @param  float|null  $slotSeconds  the time there is; cuts are proposed where eight in ten such sessions would not fit
     *
     * @throws InvalidPlan If there are more than 30 blocks.
     */
    public static function evaluate(array $blocks, PlanContext $context, ?float $slotSeconds = null): PlanEvaluation
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
        $dry = 0.0;
        foreach ($blocks as $block) {
            $evaluation = $evaluator->evaluate($block, $ground, $stations);
            $judged = $judged->plus($evaluation->judged);
            $work = $work->plus($evaluation->work);
            foreach ($evaluation->touches as $player => $tally) {
                $touches[$player] = ($touches[$player] ?? Tally::zero())->plus($tally);
            }
            [$dry, $warning] = self::water($block, $evaluation, $dry);
            $evaluations[] = $warning === null ? $evaluation : $evaluation->warned($warning);
            [$ground, $stations] = self::groundAfter($block, $evaluation, $ground, $stations);
        }
        $total = $judged->withSharedFactor($context->rules->sharedVariation)->plus($work);

        $finish = FinishTime::of($total);
        $cuts = $slotSeconds !== null && $finish->secondsReachedBy(0.8) > $slotSeconds ? (new Cuts(new BlockEvaluator($context, isBrief: true)))->of($blocks, $evaluations) : [];

        return new PlanEvaluation($evaluations, $total, $finish, $touches, $cuts);
    }

    /**
     * What stands on the ground once a block is over: water and talk leave the markers where they are, a game takes the ground.
     *
     * @return array{Layout|null, int} layout and stations
     */
    public static function groundAfter(Block $block, BlockEvaluation $evaluation, ?Layout $ground, int $stations): array
    {
        return match (true) {
            $block->drill !== null => [$block->drill->layout, $evaluation->stations],
            $block->kind === BlockKind::Game => [null, 0],
            default => [$ground, $stations],
        };
    }

    /**
     * @param  float  $dry  seconds of work since the last water
     * @return array{float, Warning|null}
     */
    private static function water(Block $block, BlockEvaluation $evaluation, float $dry): array
    {
        if ($block->kind === BlockKind::Water) {
            return [0.0, null];
        }
        $after = $dry + match ($block->kind) {
            BlockKind::Drill => $evaluation->work->meanSeconds,
            BlockKind::Game => $evaluation->meanSeconds(),
            default => 0.0,
        };

        return $after > self::WATER_MINUTES * 60.0 && $dry > 0.0
            ? [$after - $dry, new Warning(sprintf('%d minutes of work without water by the end of it.', (int) round($after / 60.0)), Cure::waterBefore())]
            : [$after, null];
    }
}
