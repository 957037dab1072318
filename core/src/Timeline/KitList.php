<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Drill\Pattern;
use FleetSparrow\Core\Plan\Block;

/** What a session needs at once, at most: the most of each kind and colour that any block, or round of stations, has on the ground. */
final readonly class KitList
{
    /**
     * @param  array<string, int>  $markersByColour
     * @param  array<string, int>  $equipment  `Equipment` value → count
     * @param  int  $bibs  for the larger of two teams' halves, where players play against each other
     */
    private function __construct(public array $markersByColour, public array $equipment, public int $bibs)
    {
    }

    /**
     * @param  list<list<array{Block, BlockEvaluation}>>  $rounds  blocks that are on the ground at the same time
     */
    public static function of(array $rounds, int $players): self
    {
        [$markers, $equipment, $bibs, $there] = [[], [], 0, []];
        foreach ($rounds as $round) {
            [$here, $isBeside] = [null, false];
            foreach ($round as [$block, $evaluation]) {
                if ($block->drill === null || $evaluation->kit === null) {
                    continue;
                }
                $here = $here === null ? $evaluation->kit : $here->plus($evaluation->kit);
                $isBeside = $isBeside || $evaluation->laying?->isBeside === true;
                // Two sides of a game are told apart by bibs; pairs know each other.
                $bibs = $block->drill->organisation->pattern === Pattern::Live && $block->drill->organisation->workers > 2
                    ? max($bibs, (int) ceil($players / 2))
                    : $bibs;
            }
            foreach ($here->markersByColour ?? [] as $colour => $count) {
                // Laid while the last one still stood.
                $markers[$colour] = max($markers[$colour] ?? 0, $count + ($isBeside ? $there[$colour] ?? 0 : 0));
            }
            $there = $here->markersByColour ?? $there;
            foreach ($here->equipment ?? [] as $thing => $count) {
                $equipment[$thing] = max($equipment[$thing] ?? 0, $count);
            }
        }
        ksort($markers);
        ksort($equipment);

        return new self($markers, $equipment, $bibs);
    }
}
