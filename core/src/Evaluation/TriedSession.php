<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\Cut;
use FleetSparrow\Core\Advice\CutKind;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;
use FleetSparrow\Core\Touch\TallyReader;

/** A running order that is made shorter, one cut after the other; what a cut does not touch is not worked out again. */
final readonly class TriedSession
{
    /**
     * @param  list<non-empty-list<Block>>  $rounds
     * @param  list<Standing>  $grounds  what stands when each round begins
     * @param  list<list<BlockEvaluation>>  $worked  round → its blocks
     * @param  list<array{float, float, float}>  $touches  of one player on average: left, right and all, round by round
     */
    private function __construct(
        private array $rounds,
        private array $grounds,
        private array $worked,
        private array $touches,
        private RoundEvaluator $evaluator,
    ) {
    }

    /**
     * @param  list<non-empty-list<Block>>  $rounds
     * @param  list<BlockEvaluation>  $evaluations  of all their blocks, in their order
     */
    public static function of(array $rounds, array $evaluations, RoundEvaluator $evaluator): self
    {
        [$ground, $grounds, $worked] = [new Standing, [], []];
        foreach ($rounds as $round) {
            $grounds[] = $ground;
            $worked[] = $here = array_splice($evaluations, 0, count($round));
            $ground = $evaluator->after($round, $here, $ground);
        }

        return new self($rounds, $grounds, $worked, array_map(self::touchesOf(...), $worked), $evaluator);
    }

    /** @return list<BlockEvaluation> */
    public function evaluations(): array
    {
        return array_merge([], ...$this->worked);
    }

    /** The same without what goes; unchanged where it has gone already. */
    public function cut(Cut $cut): self
    {
        $found = $this->find($cut->blockId);
        if ($found === null) {
            return $this;
        }
        [$at, $i] = $found;
        $block = $this->rounds[$at][$i];
        if ($cut->kind === CutKind::Block) {
            return $this->with($at, array_values(array_filter($this->rounds[$at], static fn (Block $one): bool => $one !== $block)));
        }
        // After another cut of the same block the next one starts from what is left of it.
        $dose = Shorter::dose($block, $cut->kind);

        return $dose === null ? $this : $this->with($at, self::replaced($this->rounds[$at], $i, $block->withDose($dose)));
    }

    /** One cut by itself; null where there is nothing to cut. */
    public function offer(string $blockId, CutKind $kind): ?Cut
    {
        [$at, $i] = $this->find($blockId) ?? [0, 0];
        $block = $this->rounds[$at][$i];
        $dose = $kind === CutKind::Block ? null : Shorter::dose($block, $kind);
        if ($kind === CutKind::Block ? ! $this->mayGo($at, $block) : $dose === null) {
            return null;
        }
        $then = $this->cut(new Cut($blockId, $kind, '', 0.0, 0.0, $dose));
        [$now, $after] = [$this->feet(), $then->feet()];

        return new Cut(
            $blockId,
            $kind,
            CutWords::of($kind, $block, $dose, [$now[0], $now[1]], [$after[0], $after[1]]),
            $this->meanSeconds() - $then->meanSeconds(),
            $now[2] - $after[2],
            $dose,
        );
    }

    private function meanSeconds(): float
    {
        return array_sum(array_map(static fn (BlockEvaluation $one): float => $one->meanSeconds(), $this->evaluations()));
    }

    /**
     * @param  list<Block>  $round  empty where it goes
     */
    private function with(int $at, array $round): self
    {
        $rounds = $this->rounds;
        array_splice($rounds, $at, 1, $round === [] ? [] : [$round]);

        // Up to the change all is as before; after it, where the ground is as it was.
        [$grounds, $worked, $touches] = [
            array_slice($this->grounds, 0, $at + 1),
            array_slice($this->worked, 0, $at),
            array_slice($this->touches, 0, $at),
        ];
        $ground = $this->grounds[$at];
        foreach (array_slice($rounds, $at, null, true) as $r => $here) {
            $was = $r + count($this->rounds) - count($rounds);
            $isTheSame = $r > $at || $round === [];
            $grounds[$r] = $ground;
            $worked[$r] = match (true) {
                ! $isTheSame => $this->evaluator->evaluate($here, $ground),
                $ground->isLike($this->grounds[$was]) => $this->worked[$was],
                default => $this->evaluator->laidAgain($here, $this->worked[$was], $ground),
            };
            $touches[$r] = $isTheSame ? $this->touches[$was] : self::touchesOf($worked[$r]);
            $ground = $this->evaluator->after($here, $worked[$r], $ground);
        }

        return new self($rounds, array_slice($grounds, 0, count($rounds)), $worked, $touches, $this->evaluator);
    }

    /** @return array{int, int}|null round, and place in it; null where the block is not there any more */
    private function find(string $blockId): ?array
    {
        foreach ($this->rounds as $at => $round) {
            foreach ($round as $i => $block) {
                if ($block->id === $blockId) {
                    return [$at, $i];
                }
            }
        }

        return null;
    }

    /** The first drill warms up, and water stays. */
    private function mayGo(int $at, Block $block): bool
    {
        $before = array_merge([], ...array_slice($this->rounds, 0, $at));
        $isWarmedUp = array_filter($before, static fn (Block $one): bool => $one->drill !== null) !== [];

        return $isWarmedUp && $block->kind !== BlockKind::Water;
    }

    /**
     * @param  non-empty-list<Block>  $round
     * @return non-empty-list<Block>
     */
    private static function replaced(array $round, int $i, Block $block): array
    {
        $round[$i] = $block;

        return array_values($round);
    }

    /** @return array{float, float, float} touches of one player on average: left foot, right foot, all */
    private function feet(): array
    {
        return [
            array_sum(array_column($this->touches, 0)),
            array_sum(array_column($this->touches, 1)),
            array_sum(array_column($this->touches, 2)),
        ];
    }

    /**
     * Players who work alike share one tally, which is then read once.
     *
     * @param  list<BlockEvaluation>  $evaluations
     * @return array{float, float, float}
     */
    private static function touchesOf(array $evaluations): array
    {
        $read = new TallyReader(
            static fn (Tally $tally): array => [
                $tally->contactsOf(FootMark::Left),
                $tally->contactsOf(FootMark::Right),
                $tally->contacts(),
            ],
        );
        [$sum, $players] = [[0.0, 0.0, 0.0], 1];
        foreach ($evaluations as $evaluation) {
            $players = max($players, count($evaluation->touches));
            foreach ($evaluation->touches as $tally) {
                [$left, $right, $all] = $read->of($tally);
                $sum = [$sum[0] + $left, $sum[1] + $right, $sum[2] + $all];
            }
        }

        return [$sum[0] / $players, $sum[1] / $players, $sum[2] / $players];
    }
}
