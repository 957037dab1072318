<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

/**
 * The median of the slopes between all pairs of points, and an interval for it from the exact distribution of Kendall's ranks: the k-th
 * slope from either end, k as great as leaves the confidence (Sen 1968, J. Am. Stat. Assoc. 63:1379–1389).
 *
 * Example: `TheilSen::rank(8, 0.9)` is `7`.
 */
final readonly class TheilSen
{
    /** Fewer points have a slope and no interval. */
    public const FEWEST_FOR_AN_INTERVAL = 5;

    /**
     * @param  float|null  $low  null with fewer than five points
     * @param  float|null  $high  null with fewer than five points
     */
    private function __construct(public float $slope, public ?float $low, public ?float $high, public int $points)
    {
    }

    /**
     * @param  list<array{float, float}>  $points  x and y, no two of one x
     * @param  float  $confidence  over 0 and under 1
     */
    public static function of(array $points, float $confidence = 0.9): ?self
    {
        $count = count($points);
        $slopes = self::slopes($points);
        if ($slopes === []) {
            return null;
        }
        sort($slopes);
        $rank = $count < self::FEWEST_FOR_AN_INTERVAL ? 0 : self::rank($count, $confidence);

        return new self(
            slope: Median::of($slopes),
            low: $rank < 1 ? null : $slopes[$rank - 1],
            high: $rank < 1 ? null : $slopes[count($slopes) - $rank],
            points: $count,
        );
    }

    /**
     * Which way the middle slope goes: over nought, under it, or 0. Mostly told by counting, without a division and without sorting.
     *
     * @param  list<array{float, float}>  $points  x and y, the lower x first, no two of one x
     */
    public static function sign(array $points): int
    {
        $count = count($points);
        [$rising, $falling] = [0, 0];
        for ($i = 0; $i < $count; $i++) {
            $from = $points[$i][1];
            for ($j = $i + 1; $j < $count; $j++) {
                $rising += $points[$j][1] > $from ? 1 : 0;
                $falling += $points[$j][1] < $from ? 1 : 0;
            }
        }
        $pairs = intdiv($count * ($count - 1), 2);

        return match (true) {
            2 * $rising > $pairs => 1,
            2 * $falling > $pairs => -1,
            // Half of them and the two in the middle differ: their size decides.
            2 * max($rising, $falling) === $pairs && $pairs > 0 => Median::of(self::slopes($points)) <=> 0.0,
            default => 0,
        };
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<float>
     */
    private static function slopes(array $points): array
    {
        $count = count($points);
        $slopes = [];
        for ($i = 0; $i < $count; $i++) {
            for ($j = $i + 1; $j < $count; $j++) {
                $slopes[] = ($points[$j][1] - $points[$i][1]) / ($points[$j][0] - $points[$i][0]);
            }
        }

        return $slopes;
    }

    /**
     * Which slope from either end bounds the interval: the greatest k with P(fewer than k inversions of n ranks) at most half of what the
     * confidence leaves; 0 where even the outermost leave more.
     *
     * @return int<0, max>
     */
    public static function rank(int $points, float $confidence): int
    {
        // How many orders of n ranks have so many inversions, as a share of all.
        $shares = [1.0];
        for ($n = 2; $n <= $points; $n++) {
            // The n-th can stand before 0 to n − 1 of the others: a running sum over n shares.
            [$next, $sum] = [[], 0.0];
            for ($inversions = 0; $inversions < count($shares) + $n - 1; $inversions++) {
                $sum += ($shares[$inversions] ?? 0.0) - ($shares[$inversions - $n] ?? 0.0);
                $next[] = $sum / $n;
            }
            $shares = $next;
        }
        $least = (1.0 - $confidence) / 2.0;
        [$rank, $under] = [0, 0.0];
        foreach ($shares as $share) {
            $under += $share;
            if ($under > $least + 1e-12) {
                break;
            }
            $rank++;
        }

        return $rank;
    }
}
