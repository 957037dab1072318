<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Touch\Tally;

/** What each player has of all blocks of a session. */
final readonly class Totals
{
    /**
     * @param  array<int, Tally>  $touches  player → touches
     * @param  array<int, PlayerTime>  $times  player → ball time, serving and waiting
     */
    private function __construct(public array $touches, public array $times)
    {
    }

    /**
     * Players who work alike share their tallies block by block, and so their sum.
     *
     * @param  list<int>  $players
     * @param  list<BlockEvaluation>  $blocks
     */
    public static function of(array $players, array $blocks): self
    {
        [$seen, $touches, $times] = [[], [], []];
        foreach ($players as $player) {
            $tallies = array_filter(array_map(static fn (BlockEvaluation $one): ?Tally => $one->touches[$player] ?? null, $blocks));
            $alike = array_search($tallies, $seen, true);
            $touches[$player] = $alike === false ? Tally::sum($tallies) : $touches[$alike];
            $seen[$player] = $tallies;
            $time = new PlayerTime;
            foreach ($blocks as $block) {
                $time = isset($block->times[$player]) ? $time->plus($block->times[$player]) : $time;
            }
            $times[$player] = $time;
        }

        return new self($touches, $times);
    }
}
