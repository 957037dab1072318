<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Statistics\Lattice;
use FleetSparrow\Core\Statistics\Quantiles;

/**
 * When a session is over: so many plays, each block drawn from slices of equal chance in an order of its own, with one overrun that
 * all has in common that no clock ends. The same session always has the same answer.
 */
final class SessionPlays
{
    private const COUNT = 1024;

    /**
     * @param  list<BlockEvaluation>  $blocks  at most 31
     * @param  Quantiles  $overrun  a factor
     * @return Quantiles seconds from the start to the end
     */
    public static function of(array $blocks, Quantiles $overrun): Quantiles
    {
        // The overrun has the first direction, so its values stand as they grow.
        [$clocked, $open] = [0.0, [array_fill(0, self::COUNT, 0.0)]];
        foreach ($blocks as $block) {
            $clocked += $block->isClocked() ? $block->work->mean() : 0.0;
            $part = $block->isClocked() ? $block->judged : $block->judged->plus($block->work);
            $open[] = $part->inSlices(self::COUNT);
        }
        [$overruns, $times] = [$overrun->inSlices(self::COUNT), []];
        foreach (Lattice::sums($open) as $i => $seconds) {
            $times[] = $clocked + $seconds * $overruns[$i];
        }

        return Quantiles::of($times);
    }
}
