<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\CutKind;
use FleetSparrow\Core\Organisation\Station;
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

    /**
     * The same without what goes, in order: after another cut of the same block the next one starts from what is left of it.
     *
     * @param  list<array{string, CutKind}>  $cuts  of which block, and how; one that has gone already stays so
     */
    public function without(array $cuts): self
    {
        $changed = [];
        foreach ($cuts as [$blockId, $kind]) {
            [$at] = $this->find($blockId) ?? [null];
            if ($at !== null) {
                $changed[$at] = self::shortened($changed[$at] ?? $this->rounds[$at], $blockId, $kind);
            }
        }

        return $this->with($changed);
    }

    /**
     * @param  list<Block>  $round
     * @return list<Block>
     */
    private static function shortened(array $round, string $blockId, CutKind $kind): array
    {
        $left = [];
        foreach ($round as $block) {
            $dose = $block->id === $blockId ? Shorter::dose($block, $kind) : null;
            if ($block->id !== $blockId || $kind !== CutKind::Block) {
                $left[] = $dose === null ? $block : $block->withDose($dose);
            }
        }

        return $left;
    }

    /** Whether there is anything to cut. */
    public function may(string $blockId, CutKind $kind): bool
    {
        [$at, $i] = $this->find($blockId) ?? [0, 0];
        $block = $this->rounds[$at][$i];

        return $kind === CutKind::Block ? $this->mayGo($at, $block) : Shorter::dose($block, $kind) !== null;
    }

    /** By one cut alone. */
    public function loss(string $blockId, CutKind $kind): Loss
    {
        $shorter = $this->without([[$blockId, $kind]]);

        return Loss::between(
            [$this->meanSeconds(), ...$this->feet()],
            [$shorter->meanSeconds(), ...$shorter->feet()],
        );
    }

    /** @return array<string, string> block → everything that the loss of it depends on */
    public function questions(): array
    {
        $situation = $this->evaluator->situation();
        $questions = [];
        foreach ($this->rounds as $at => $round) {
            $question = hash('xxh128', serialize([$situation, $this->grounds[$at]->described(), ...$this->about($at)]));
            foreach ($round as $i => $block) {
                $questions[$block->id] = "{$question} {$i}";
            }
        }

        return $questions;
    }

    /**
     * A round and who does what in it, and the next ones until markers are laid: they find the ground it leaves. Of what comes after
     * that, whether one of its drills is explained there again.
     *
     * @return list<mixed>
     */
    private function about(int $at): array
    {
        $own = self::slugs($this->rounds[$at]);
        [$about, $isLaid] = [[], false];
        foreach (array_slice($this->rounds, $at, null, true) as $r => $round) {
            $about[] = $isLaid ? array_intersect(self::slugs($round), $own) : [$round, array_map(self::seats(...), $this->worked[$r])];
            $markers = array_sum(array_map(static fn (BlockEvaluation $one): int => $one->markers, $this->worked[$r]));
            $isLaid = $isLaid || $r > $at && $markers > 0;
        }

        return $about;
    }

    /**
     * @param  list<Block>  $round
     * @return list<string|null>
     */
    private static function slugs(array $round): array
    {
        return array_map(static fn (Block $one): ?string => $one->drill?->slug, $round);
    }

    /** @return list<mixed> who is together, and who does what besides */
    private static function seats(BlockEvaluation $worked): array
    {
        return [
            $worked->stations,
            array_map(
                static fn (Station $one): array => [array_column($one->workers, 'id'), array_column($one->servers, 'id')],
                $worked->groups,
            ),
            $worked->duties,
        ];
    }

    private function meanSeconds(): float
    {
        return array_sum(array_map(static fn (BlockEvaluation $one): float => $one->meanSeconds(), $this->evaluations()));
    }

    /** @param  array<int, list<Block>>  $changed  place of a round → what is done in it now; empty where it goes */
    private function with(array $changed): self
    {
        [$rounds, $grounds, $worked, $touches] = [[], [], [], []];
        $ground = $this->grounds[0] ?? new Standing;
        foreach ($this->rounds as $at => $before) {
            $here = $changed[$at] ?? $before;
            if ($here === []) {
                continue;
            }
            $isTheSame = $here === $before;
            // What no change reaches is as before: itself, and where the ground is as it was.
            $now = match (true) {
                ! $isTheSame => $this->evaluator->evaluate($here, $ground),
                $ground === $this->grounds[$at] || $ground->isLike($this->grounds[$at]) => $this->worked[$at],
                default => $this->evaluator->laidAgain($here, $this->worked[$at], $ground),
            };
            $isUnmoved = $now === $this->worked[$at] && $ground === $this->grounds[$at];
            [$rounds[], $grounds[], $worked[]] = [$here, $ground, $now];
            $touches[] = $isTheSame ? $this->touches[$at] : self::touchesOf($now);
            $next = $isUnmoved ? $this->grounds[$at + 1] ?? null : null;
            $ground = $next ?? $this->evaluator->after($here, $now, $ground);
        }

        return new self($rounds, $grounds, $worked, $touches, $this->evaluator);
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

    /** @return array{float, float, float} touches of one player on average: left foot, right foot, all */
    public function feet(): array
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
