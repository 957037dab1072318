<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

/** What one try after the other comes to where the chance of each player is their own and only guessed at. */
final class Chances
{
    /** Equally likely chances that stand for a Beta; this tool's own value. */
    public const NODES = 64;

    /** Cells of the angle θ with p = sin²θ: this tool's own value. */
    private const GRID = 256;

    public const SLICES = 128;

    /** Nobody is played out longer than that many misses. */
    private const MOST_MISSES = 4000;

    /**
     * Equally likely chances p of Beta(α, β), growing, as angles θ with p = sin²θ: its distribution summed over an even grid of them,
     * where the density is 2·sin^(2α−1)θ·cos^(2β−1)θ and has no pole for α, β ≥ ½. Checked against R's qbeta.
     *
     * @param  non-empty-list<array{float, float}>  $logs  as below
     * @return list<float> in cells of the grid
     */
    public static function angles(float $alpha, float $beta, array $logs): array
    {
        if ($beta <= 0.0) {
            return array_fill(0, self::NODES, (float) self::GRID);
        }
        // Five deviations of the angle, 1 ÷ (2·√(α + β)), on either side of its middle: what lies outside is nothing.
        [$angle, $reach] = [asin(sqrt($alpha / ($alpha + $beta))), 2.5 / sqrt($alpha + $beta)];
        $first = max(0, (int) (($angle - $reach) / M_PI_2 * self::GRID));
        $densities = [];
        foreach (array_slice($logs, $first, (int) ceil(2.0 * $reach / M_PI_2 * self::GRID) + 1) as [$sine, $cosine]) {
            $densities[] = (2.0 * $alpha - 1.0) * $sine + (2.0 * $beta - 1.0) * $cosine;
        }
        $most = max(-INF, ...$densities);
        $weights = [];
        foreach ($densities as $log) {
            $weights[] = exp($log - $most);
        }
        $slice = array_sum($weights) / self::NODES;
        [$gone, $next, $angles] = [0.0, $slice / 2.0, []];
        foreach ($weights as $i => $weight) {
            for (; $gone + $weight >= $next && count($angles) < self::NODES; $next += $slice) {
                $angles[] = $first + $i + ($next - $gone) / $weight;
            }
            $gone += $weight;
        }

        return array_pad($angles, self::NODES, (float) self::GRID);
    }

    /** @return non-empty-list<array{float, float}> of each cell's middle the logarithms of sine and cosine, the same for every Beta */
    public static function logsOfAngles(): array
    {
        return array_map(static function (int $cell): array {
            $angle = ($cell + 0.5) / self::GRID * M_PI_2;

            return [log(sin($angle)), log(cos($angle))];
        }, range(0, self::GRID - 1));
    }

    /** The chance at the middle of a cell, from 0; the one past the last is certainty. */
    public static function ofCell(int $cell): float
    {
        return $cell === self::GRID ? 1.0 : sin(($cell + 0.5) / self::GRID * M_PI_2) ** 2;
    }

    /**
     * Misses before the n-th good one at a known chance, negative binomial, as equally likely numbers:
     * P(m + 1) = P(m)·(n + m) ÷ (m + 1)·(1 − p). Checked against R's qnbinom.
     *
     * @return non-empty-list<int>
     */
    public static function misses(int $good, float $chance): array
    {
        $misses = [];
        [$mass, $under, $wrong] = [$chance ** $good, 0.0, 1.0 - $chance];
        for ($m = 0; count($misses) < self::SLICES && $m < self::MOST_MISSES; $m++) {
            $under += $mass;
            while (count($misses) < self::SLICES && $under >= (count($misses) + 0.5) / self::SLICES) {
                $misses[] = $m;
            }
            $mass *= ($good + $m) / ($m + 1) * $wrong;
        }

        return array_pad($misses, self::SLICES, self::MOST_MISSES);
    }

    /**
     * Good ones in a row before the first poor one, up to a goal, geometric: the least k with 1 − p^(k+1) over the share.
     *
     * @return list<int>
     */
    public static function runs(int $goal, float $chance): array
    {
        return array_map(static fn (float $share): int => match (true) {
            $chance >= 1.0 => $goal,
            $chance <= 0.0 => 0,
            default => (int) min($goal, floor(log(1.0 - $share) / log($chance))),
        }, self::shares());
    }

    /**
     * Poor ones among so many, binomial, by its normal approximation.
     *
     * @param  list<float>  $middles  of the slices of the standard normal distribution
     * @return list<float>
     */
    public static function drops(int $reps, float $chance, array $middles): array
    {
        [$mean, $deviation] = [$reps * (1.0 - $chance), sqrt($reps * $chance * (1.0 - $chance))];

        return array_map(static fn (float $z): float => max(0.0, $mean + $deviation * $z), $middles);
    }

    /** @return list<float> the middles of the slices */
    private static function shares(): array
    {
        return array_map(static fn (int $slice): float => ($slice + 0.5) / self::SLICES, range(0, self::SLICES - 1));
    }
}
