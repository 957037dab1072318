<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Statistics\Quantiles;

/**
 * When a session is over: so many plays, each block drawn from slices of equal chance in an order of its own, with one overrun that
 * all has in common that no clock ends. The orders are those of a lattice (Cools, Kuo and Nuyens 2006, from memory), so the same
 * session always has the same answer.
 */
final class SessionPlays
{
    private const COUNT = 1024;

    /** Plays to a slice of equal chance, as a power of two. */
    private const TO_A_SLICE = 2;

    private const ORDERS = [
        1, 182667, 469891, 498753, 110745, 446247, 250185, 118627, 245333, 283199, 408519, 391023, 246327, 126539, 399185, 461527,
        300343, 69681, 516695, 436179, 106383, 238523, 413283, 70841, 47719, 300129, 113029, 123925, 410745, 211325, 17489, 511893,
    ];

    /**
     * @param  list<BlockEvaluation>  $blocks
     * @param  Quantiles  $overrun  a factor
     * @return Quantiles seconds from the start to the end
     */
    public static function of(array $blocks, Quantiles $overrun): Quantiles
    {
        [$clocked, $open] = [0.0, array_fill(0, self::COUNT, 0.0)];
        foreach ($blocks as $i => $block) {
            $clocked += $block->isClocked() ? $block->work->mean() : 0.0;
            $part = $block->isClocked() ? $block->judged : $block->judged->plus($block->work);
            self::add($open, $part->thinned()->values, self::ORDERS[($i + 1) % count(self::ORDERS)]);
        }
        $overruns = $overrun->thinned()->values;
        $times = [];
        foreach ($open as $i => $seconds) {
            $times[] = $clocked + $seconds * $overruns[$i >> self::TO_A_SLICE];
        }

        return Quantiles::of($times);
    }

    /**
     * @param  array<int, float>  $sums
     * @param  list<float>  $values
     */
    private static function add(array &$sums, array $values, int $order): void
    {
        foreach ($sums as $i => $sum) {
            $sums[$i] = $sum + $values[$i * $order % self::COUNT >> self::TO_A_SLICE];
        }
    }
}
