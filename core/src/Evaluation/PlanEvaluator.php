<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\HeadingWarnings;
use FleetSparrow\Core\Advice\SecondCoach;
use FleetSparrow\Core\Advice\SessionWarnings;
use FleetSparrow\Core\Advice\WaterWarnings;
use FleetSparrow\Core\Clock\LaidOut;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Statistics\LogNormals;
use FleetSparrow\Core\Timeline\HeadingTime;
use FleetSparrow\Core\Timeline\KitList;
use FleetSparrow\Core\Timeline\SessionPlays;

/** Adds a running order up: judged parts share one overrun, the doses of the blocks do not. */
final class PlanEvaluator
{
    public const MOST_BLOCKS = 30;

    /**
     * @param  list<Block>  $blocks
     * @param  float|null  $slotSeconds  the time there is; cuts are proposed where eight in ten such sessions would not fit
     * @param  Family|null  $theme  of the session, where one is said
     *
     * @throws InvalidPlan If there are more than 30 blocks.
     */
    public static function evaluate(array $blocks, PlanContext $context, ?float $slotSeconds = null, ?Family $theme = null): PlanEvaluation
    {
        if (count($blocks) > self::MOST_BLOCKS) {
            throw InvalidPlan::tooManyBlocks(30);
        }
        $draw = GroupDraw::at($context);
        $rounds = RoundEvaluator::rounds($blocks);
        $laid = new LaidOut;
        $evaluations = (new RoundEvaluator($context, $draw, $laid))->all($rounds);
        $ids = array_map(static fn (PlanPlayer $player): int => $player->id, $context->players);
        [$dry, $heading] = [0.0, HeadingTime::none()];
        $warned = [];
        foreach ($blocks as $i => $block) {
            $evaluation = $evaluations[$i];
            [$dry, $water] = WaterWarnings::of($block->kind, $evaluation, $dry, $context->weather->waterMinutes());
            $heading = $heading->with($evaluation);
            $warned[] = $evaluation->warned(...$water, ...HeadingWarnings::of($heading, $context));
        }
        $evaluations = $warned;
        $totals = Totals::of($ids, $evaluations);
        $overrun = LogNormals::of($context->memo, 1.0, $context->rules->sharedVariation);
        $finish = SessionPlays::of($evaluations, $overrun);
        $end = $finish->at(0.8);
        $cuts = $slotSeconds !== null && $end > $slotSeconds
            ? (new Cuts(new RoundEvaluator($context, $draw, $laid, Detail::Times), $context->memo))
                ->of($blocks, $evaluations, $overrun, $slotSeconds, $end)
            : new CutAnswer;

        return new PlanEvaluation(
            blocks: $evaluations,
            finish: $finish,
            touches: $totals->touches,
            times: $totals->times,
            kit: KitList::of(
                array_map(
                    static fn (array $round): array => array_map(static fn (int $i): array => [$blocks[$i], $evaluations[$i]], $round),
                    self::indices($rounds),
                ),
                count($context->players),
            ),
            overrun: $overrun,
            cuts: $cuts,
            warnings: SessionWarnings::of($totals->touches, $context),
            rating: $slotSeconds === null
                ? null
                : SecondCoach::looking($blocks, $evaluations, $totals->times, $totals->touches, $context)
                    ->rating($finish, $slotSeconds, $theme),
        );
    }

    /**
     * @param  list<non-empty-list<Block>>  $rounds
     * @return list<non-empty-list<int>> the places of the blocks in the running order
     */
    private static function indices(array $rounds): array
    {
        $at = 0;
        $indices = [];
        foreach ($rounds as $round) {
            $indices[] = range($at, $at + count($round) - 1);
            $at += count($round);
        }

        return $indices;
    }
}
