<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\Rating;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\KitList;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Touch\Tally;

/** A whole session worked out. */
final readonly class PlanEvaluation
{
    /**
     * @param  list<BlockEvaluation>  $blocks
     * @param  Quantiles  $finish  seconds from the start to the end
     * @param  array<int, Tally>  $touches  player id → touches of the session
     * @param  array<int, PlayerTime>  $times  player id → ball time, serving and waiting
     * @param  KitList  $kit  what is on the ground at once, at most
     * @param  Quantiles  $overrun  the factor that all has in common that no clock ends
     * @param  CutAnswer  $cuts  what could go, where the session is over its slot
     * @param  list<Warning>  $warnings  of the session as a whole
     * @param  Rating|null  $rating  what a second coach would say; null where no slot is said
     */
    public function __construct(
        public array $blocks,
        public Quantiles $finish,
        public array $touches,
        public array $times,
        public KitList $kit,
        public Quantiles $overrun,
        public CutAnswer $cuts = new CutAnswer,
        public array $warnings = [],
        public ?Rating $rating = null,
    ) {
    }

    /**
     * What it comes to where some were not at work in some of it: they had not come yet, had gone, or only served by then.
     *
     * @param  array<string, list<int>>  $missed  block → players
     */
    public function without(array $missed): self
    {
        if ($missed === []) {
            return $this;
        }
        $blocks = array_map(
            static fn (BlockEvaluation $one): BlockEvaluation => $one->without($missed[$one->blockId] ?? []),
            $this->blocks,
        );
        $totals = Totals::of(array_keys($this->touches), $blocks);

        return new self(
            blocks: $blocks,
            finish: $this->finish,
            touches: $totals->touches,
            times: $totals->times,
            kit: $this->kit,
            overrun: $this->overrun,
            cuts: $this->cuts,
            warnings: $this->warnings,
            rating: $this->rating,
        );
    }

    /**
     * Blocks and the session where the profile the squad follows forbids something.
     *
     * @return list<array{blockId: string|null, warning: Warning}>
     */
    public function barred(): array
    {
        $barred = [];
        foreach ($this->blocks as $block) {
            foreach ($block->warnings as $warning) {
                if ($warning->isBarred) {
                    $barred[] = ['blockId' => $block->blockId, 'warning' => $warning];
                }
            }
        }
        foreach ($this->warnings as $warning) {
            if ($warning->isBarred) {
                $barred[] = ['blockId' => null, 'warning' => $warning];
            }
        }

        return $barred;
    }
}
