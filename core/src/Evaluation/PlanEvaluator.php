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
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\HeadingTime;
use FleetSparrow\Core\Timeline\KitList;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\SessionPlays;
use FleetSparrow\Core\Touch\Tally;

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
        $times = array_fill_keys($ids, new PlayerTime);
        [$dry, $heading] = [0.0, HeadingTime::none()];
        $warned = [];
        foreach ($blocks as $i => $block) {
            $evaluation = $evaluations[$i];
            foreach ($evaluation->times as $player => $time) {
                $times[$player] = ($times[$player] ?? new PlayerTime)->plus($time);
            }
            [$dry, $water] = WaterWarnings::of($block->kind, $evaluation, $dry, $context->weather->waterMinutes());
            $heading = $heading->with($evaluation);
            $warned[] = $evaluation->warned(...$water, ...HeadingWarnings::of($heading, $context));
        }
        $evaluations = $warned;
        $touches = self::touches($ids, $evaluations);
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
            touches: $touches,
            times: $times,
            kit: KitList::of(
                array_map(
                    static fn (array $round): array => array_map(static fn (int $i): array => [$blocks[$i], $evaluations[$i]], $round),
                    self::indices($rounds),
                ),
                count($context->players),
            ),
            overrun: $overrun,
            cuts: $cuts,
            warnings: SessionWarnings::of($touches, $context),
            rating: $slotSeconds === null
                ? null
                : SecondCoach::looking($blocks, $evaluations, $times, $touches, $context)->rating($finish, $slotSeconds, $theme),
        );
    }

    /**
     * Each player's touches of all blocks. Players who work alike share their tallies block by block, and so their sum.
     *
     * @param  non-empty-list<int>  $players
     * @param  list<BlockEvaluation>  $evaluations
     * @return array<int, Tally>
     */
    private static function touches(array $players, array $evaluations): array
    {
        [$seen, $touches] = [[], []];
        foreach ($players as $player) {
            $tallies = array_filter(
                array_map(static fn (BlockEvaluation $evaluation): ?Tally => $evaluation->touches[$player] ?? null, $evaluations),
            );
            $alike = array_search($tallies, $seen, true);
            $touches[$player] = $alike === false ? Tally::sum($tallies) : $touches[$alike];
            $seen[$player] = $tallies;
        }

        return $touches;
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
