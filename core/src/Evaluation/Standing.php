<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Clock\Explained;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Timeline\BlockEvaluation;

/** How things stand when a block begins: what lies on the ground, what was just done, and what a helper had time for. */
final readonly class Standing
{
    /**
     * @param  Layout|null  $layout  of one station; null where nothing stands
     * @param  int  $stations  of it
     * @param  bool  $isUntouched  nothing was laid or played on yet
     * @param  float  $roomTaken  share of the area that the drill before it was done on
     * @param  float  $drillSeconds  that it took, in which a helper may lay the next one
     * @param  float  $breakSeconds  since then, while nobody was on the ground
     * @param  bool  $isHelped  whether a helper had nothing else to do during that drill
     * @param  list<Block>  $before  drills just done
     * @param  list<string>  $done  slugs of all drills of this session so far
     */
    public function __construct(
        public ?Layout $layout = null,
        public int $stations = 0,
        public bool $isUntouched = true,
        public float $roomTaken = 0.0,
        public float $drillSeconds = 0.0,
        public float $breakSeconds = 0.0,
        public bool $isHelped = false,
        public array $before = [],
        public array $done = [],
    ) {
    }

    /** Another station that runs at the same time: nothing stands there. */
    public function nextTo(): self
    {
        return new self(isUntouched: $this->isUntouched, before: $this->before, done: $this->done);
    }

    /**
     * Once a round is over: water and talk leave the markers where they are, a game takes the ground, and so does a drill that lays some.
     *
     * @param  list<Block>  $round
     * @param  list<BlockEvaluation>  $evaluations
     */
    public function after(array $round, array $evaluations, PlanContext $context): self
    {
        $seconds = array_sum(array_map(
            static fn (BlockEvaluation $one): float => $one->meanSeconds() - ($one->partSeconds['setUp'] ?? 0.0),
            $evaluations,
        ));
        $drills = array_values(array_filter($round, static fn (Block $block): bool => $block->drill !== null));
        if ($drills === []) {
            return $this->afterMinutes($round[0]->kind ?? BlockKind::Talk, $seconds);
        }
        [$layout, $stations, $taken, $busy] = [$this->layout, $this->stations, 0.0, 0];
        foreach ($evaluations as $evaluation) {
            $busy += $evaluation->grownUps;
            if ($evaluation->layout !== null) {
                $taken += self::share($evaluation->layout, $evaluation->stations, $context);
                [$layout, $stations] = $evaluation->layout->markers() === []
                    ? [$layout, $stations]
                    : [$evaluation->layout, $evaluation->stations];
            }
        }

        return new self(
            layout: $layout,
            stations: $stations,
            isUntouched: $this->isUntouched && $layout === null,
            roomTaken: $taken,
            drillSeconds: $seconds,
            // Who serves or counts lays nothing out; the coach watches.
            isHelped: $context->helpers > max(0, $busy - 1),
            before: $drills,
            done: [...$this->done, ...array_map(static fn (Block $block): string => $block->drill->slug ?? '', $drills)],
        );
    }

    private function afterMinutes(BlockKind $kind, float $seconds): self
    {
        return $kind === BlockKind::Game ? new self(isUntouched: false, done: $this->done) : new self(
            layout: $this->layout,
            stations: $this->stations,
            isUntouched: $this->isUntouched,
            roomTaken: $this->roomTaken,
            drillSeconds: $this->drillSeconds,
            breakSeconds: $this->breakSeconds + $seconds,
            isHelped: $this->isHelped,
            before: $this->before,
            done: $this->done,
        );
    }

    /** The same had a helper been free. */
    public function helped(): self
    {
        return new self(
            layout: $this->layout,
            stations: $this->stations,
            isUntouched: $this->isUntouched,
            roomTaken: $this->roomTaken,
            drillSeconds: $this->drillSeconds,
            breakSeconds: $this->breakSeconds,
            isHelped: true,
            before: $this->before,
            done: $this->done,
        );
    }

    /** Share of the area that so many stations take; nothing where no area is said. */
    public static function share(Layout $layout, int $stations, PlanContext $context): float
    {
        $fit = $context->area?->stations($layout->footprint());

        return $fit === null ? 0.0 : $stations / max(0.5, $fit);
    }

    /** @param  list<string>  $known  slugs done in the last sessions */
    public function explained(Block $block, Drill $drill, array $known): Explained
    {
        $onTheSameGround = false;
        foreach ($this->before as $before) {
            if ($before->drill?->slug === $drill->slug) {
                return self::isOtherSide($before, $block) ? Explained::OtherSide : Explained::Again;
            }
            $onTheSameGround = $onTheSameGround || $before->drill !== null
                && $before->drill->layout->kind() === $drill->layout->kind()
                && $before->drill->layout->parameters() === $drill->layout->parameters()
                && $before->drill->organisation->pattern === $drill->organisation->pattern;
        }
        $explained = in_array($drill->slug, [...$this->done, ...$known], true) ? Explained::Known : Explained::New;

        return $onTheSameGround ? $explained->onTheSameGround() : $explained;
    }

    private static function isOtherSide(Block $before, Block $block): bool
    {
        $sides = static fn (Block $one): ?string => $one->dose?->sides()->value;

        return $sides($before) !== $sides($block) && $before->dose?->kind() === $block->dose?->kind();
    }

    public function isLike(self $other): bool
    {
        return $this->layout === $other->layout
            && $this->before === $other->before
            && $this->figures() === $other->figures();
    }

    /** @return list<mixed> all of it in plain values, to know it again in another plan */
    public function described(): array
    {
        return [
            $this->figures(),
            [$this->layout?->kind(), $this->layout?->parameters()],
            array_map(static fn (Block $one): array => [$one->drill?->slug, $one->dose?->fields()], $this->before),
        ];
    }

    /** @return list<mixed> */
    public function figures(): array
    {
        return [
            $this->stations, $this->isUntouched, $this->roomTaken, $this->drillSeconds, $this->breakSeconds, $this->isHelped, $this->done,
        ];
    }
}
