<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

use FleetSparrow\Core\Shared\Memo;

/**
 * The slowest of w workers whose times for one piece of work are independent and log-normal.
 *
 * With Z the greatest of w standard normal values, E[X^n] = ∫ exp(n·(μ + σ·z))·w·φ(z)·Φ(z)^(w − 1) dz, where X has mean 1 for one
 * worker. By the trapezoid rule in z, which for so smooth a hump is exact to many digits (Trefethen and Weideman 2014).
 */
final class SlowestWorker
{
    private const STEP = 0.25;

    /** Beyond eight standard deviations nothing is left of the hump. */
    private const STEPS_EACH_WAY = 32;

    /**
     * @param  float  $coefficientOfVariation  spread of one worker, over 0
     * @return array{float, float, float} mean, variance and third central moment of the slowest, as multiples of one worker's mean time
     */
    public static function moments(int $workers, float $coefficientOfVariation, Memo $memo = new Memo): array
    {
        return $memo->of(
            "slowest {$workers} {$coefficientOfVariation}",
            static fn (): array => self::integrate($workers, $coefficientOfVariation, self::grid($memo)),
        );
    }

    /**
     * Workers whose mean times differ: the density of the slowest is Π F · Σ f ÷ F, and E[X^n] = ∫ exp(n·y)·(that) dy with y = ln x.
     *
     * @param  non-empty-list<float>  $meanSeconds  of each worker
     * @param  float  $coefficientOfVariation  spread of every one, over 0
     * @return array{float, float, float} mean, variance and third central moment of the slowest, in seconds and their powers
     */
    public static function ofMeans(array $meanSeconds, float $coefficientOfVariation, Memo $memo = new Memo): array
    {
        $longest = max($meanSeconds);
        if (min($meanSeconds) === $longest) {
            [$mean, $variance, $third] = self::moments(count($meanSeconds), $coefficientOfVariation, $memo);

            return [$mean * $longest, $variance * $longest ** 2, $third * $longest ** 3];
        }
        $shares = array_count_values(array_map(static fn (float $mean): string => sprintf('%.6e', $mean / $longest), $meanSeconds));
        ksort($shares);
        [$mean, $variance, $third] = $memo->of(
            'slowest '.http_build_query($shares)." {$coefficientOfVariation}",
            static fn (): array => self::integrateUnlike($shares, $coefficientOfVariation, self::grid($memo)),
        );

        return [$mean * $longest, $variance * $longest ** 2, $third * $longest ** 3];
    }

    /**
     * @param  array<array-key, int>  $shares  mean time as a share of the longest → workers
     * @param  list<array{float, float, float}>  $grid
     * @return array{float, float, float}
     */
    private static function integrateUnlike(array $shares, float $coefficientOfVariation, array $grid): array
    {
        $sigma = sqrt(log(1.0 + $coefficientOfVariation ** 2));
        $behind = [];
        foreach ($shares as $share => $workers) {
            $behind[] = [-log((float) $share) / $sigma, $workers];
        }
        [$first, $second, $third] = [0.0, 0.0, 0.0];
        foreach ($grid as [$z]) {
            [$product, $sum] = [1.0, 0.0];
            foreach ($behind as [$ahead, $workers]) {
                [$density, $below] = NormalDistribution::densityAndCdf($z + $ahead);
                if ($below <= 0.0) {
                    continue 2;
                }
                $product *= $below ** $workers;
                $sum += $workers * $density / $below;
            }
            $x = exp($sigma * $z - $sigma ** 2 / 2.0);
            $share = self::STEP * $product * $sum;
            $first += $x * $share;
            $second += $x * $x * $share;
            $third += $x * $x * $x * $share;
        }

        return [$first, $second - $first ** 2, $third - 3.0 * $first * $second + 2.0 * $first ** 3];
    }

    /**
     * @param  list<array{float, float, float}>  $grid
     * @return array{float, float, float}
     */
    private static function integrate(int $workers, float $coefficientOfVariation, array $grid): array
    {
        $sigma = sqrt(log(1.0 + $coefficientOfVariation ** 2));
        $mu = -$sigma ** 2 / 2.0;
        [$first, $second, $third] = [0.0, 0.0, 0.0];
        foreach ($grid as [$z, $density, $below]) {
            $x = exp($mu + $sigma * $z);
            $share = $workers * $density * $below ** ($workers - 1);
            $first += $x * $share;
            $second += $x * $x * $share;
            $third += $x * $x * $x * $share;
        }

        return [$first, $second - $first ** 2, $third - 3.0 * $first * $second + 2.0 * $first ** 3];
    }

    /** @return list<array{float, float, float}> z, STEP·φ(z) and Φ(z), the same for every question */
    private static function grid(Memo $memo): array
    {
        return $memo->of('standard normal grid', self::makeGrid(...));
    }

    /** @return list<array{float, float, float}> */
    private static function makeGrid(): array
    {
        $grid = [];
        for ($i = 0; $i <= self::STEPS_EACH_WAY; $i++) {
            $z = $i * self::STEP;
            $density = self::STEP * exp(-$z * $z / 2.0) / sqrt(2.0 * M_PI);
            $below = NormalDistribution::cdf($z);
            $grid[] = [$z, $density, $below];
            if ($i > 0) {
                $grid[] = [-$z, $density, 1.0 - $below];
            }
        }

        return $grid;
    }
}
