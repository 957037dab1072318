<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

/**
 * The slowest of w workers whose times for one piece of work are independent and log-normal.
 *
 * The factor on the mean time is ∫ (1 − Φ((ln x − μ) ÷ σ)^w) dx with mean 1, by the midpoint rule.
 */
final class SlowestWorker
{
    private const STEPS = 160;

    /** @var array<string, array{float, float, float}> answers already worked out; the same question always has the same answer */
    private static array $known = [];

    /**
     * @param  float  $coefficientOfVariation  spread of one worker, over 0
     * @return array{float, float, float} mean, variance and third central moment of the slowest, as multiples of one worker's mean time
     */
    public static function moments(int $workers, float $coefficientOfVariation): array
    {
        return self::$known["{$workers} {$coefficientOfVariation}"] ??= self::integrate($workers, $coefficientOfVariation);
    }

    /** @return array{float, float, float} */
    private static function integrate(int $workers, float $coefficientOfVariation): array
    {
        $sigma = sqrt(log(1.0 + $coefficientOfVariation ** 2));
        $mu = -$sigma ** 2 / 2.0;
        $end = exp($mu + 7.0 * $sigma);
        [$first, $second, $third] = [0.0, 0.0, 0.0];
        $width = $end / self::STEPS;
        for ($i = 0; $i < self::STEPS; $i++) {
            // E[X^n] = ∫ n·x^(n−1)·(1 − F(x)) dx, at the middle of each strip
            $x = ($i + 0.5) * $width;
            $above = 1.0 - NormalDistribution::cdf((log($x) - $mu) / $sigma) ** $workers;
            $first += $above * $width;
            $second += 2.0 * $x * $above * $width;
            $third += 3.0 * $x * $x * $above * $width;
        }

        return [$first, $second - $first ** 2, $third - 3.0 * $first * $second + 2.0 * $first ** 3];
    }
}
