<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

/**
 * Points that fill a cube evenly: in each direction they take slices of equal chance in an order of its own, so what is independent
 * meets in every mixture. Any power of two of points can be taken (Cools, Kuo and Nuyens 2006, from memory).
 */
final class Lattice
{
    /** Each direction begins elsewhere, lest the least of all meet: with this the spread of sums is right; this tool's own value. */
    private const SHIFT = 77;

    /** As many can be summed up at once. */
    public const DIRECTIONS = 32;

    private const ORDERS = [
        1, 182667, 469891, 498753, 110745, 446247, 250185, 118627, 245333, 283199, 408519, 391023, 246327, 126539, 399185, 461527,
        300343, 69681, 516695, 436179, 106383, 238523, 413283, 70841, 47719, 300129, 113029, 123925, 410745, 211325, 17489, 511893,
    ];

    /**
     * Values in the order in which the points take them.
     *
     * @param  list<float>  $values  one a slice, as many as a power of two
     * @param  int<0, 31>  $direction
     * @return list<float>
     */
    public static function ordered(array $values, int $direction): array
    {
        if ($direction === 0) {
            return $values;
        }
        [$order, $shift, $last, $ordered] = [self::ORDERS[$direction], $direction * self::SHIFT, count($values) - 1, []];
        foreach ($values as $i => $_) {
            $ordered[] = $values[$i * $order + $shift & $last];
        }

        return $ordered;
    }

    /**
     * The sum at each point.
     *
     * @param  non-empty-list<list<float>>  $each  direction → one value a slice, as many as a power of two
     * @return list<float>
     */
    public static function sums(array $each): array
    {
        [$sums, $last] = [$each[0], count($each[0]) - 1];
        for ($direction = 1; $direction < count($each); $direction++) {
            [$values, $order, $shift] = [$each[$direction], self::ORDERS[$direction], $direction * self::SHIFT];
            foreach ($sums as $i => $sum) {
                $sums[$i] = $sum + $values[$i * $order + $shift & $last];
            }
        }

        return $sums;
    }
}
