<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Statistics\NormalDistribution;

/**
 * When a session is likely to end, from its mean, variance and skewness (Cornish and Fisher 1938):
 * x(q) = μ + σ·(z + (z² − 1)·γ ÷ 6 + (z³ − 7z)·γ² ÷ 144) with z the normal quantile of q and γ the skewness.
 *
 * The last term is the second correction with the fourth cumulant of a gamma distribution of the same skewness, 1.5·γ²: times
 * that wait for the slowest lean that way, and without it a much skewed session ends in time more often than said.
 */
final class FinishTime
{
    private function __construct(private readonly DurationEstimate $total)
    {
    }

    public static function of(DurationEstimate $total): self
    {
        return new self($total);
    }

    /** Seconds from the start by which a share of such sessions is over; share strictly between 0 and 1. */
    public function secondsReachedBy(float $share): float
    {
        return $this->total->meanSeconds + $this->total->standardDeviationSeconds() * self::corrected(
            NormalDistribution::quantile($share),
            $this->skewness(),
        );
    }

    /** The chance to be over within so many seconds: the inverse of the above, on the branch where it grows. */
    public function chanceWithin(float $seconds): float
    {
        $deviation = $this->total->standardDeviationSeconds();
        if ($deviation <= 0.0) {
            return $seconds >= $this->total->meanSeconds ? 1.0 : 0.0;
        }
        $skewness = $this->skewness();
        $x = ($seconds - $this->total->meanSeconds) / $deviation;

        // A lean to the left is a lean to the right in the mirror.
        return $skewness >= 0.0
            ? NormalDistribution::cdf(self::uncorrected($x, $skewness))
            : 1.0 - NormalDistribution::cdf(self::uncorrected(-$x, -$skewness));
    }

    private static function corrected(float $z, float $skewness): float
    {
        return $z + ($z ** 2 - 1.0) * $skewness / 6.0 + ($z ** 3 - 7.0 * $z) * $skewness ** 2 / 144.0;
    }

    /** The z whose correction is x, by halving; below the turning point nothing can end, so there it is far to the left. */
    private static function uncorrected(float $x, float $skewness): float
    {
        [$low, $high] = [self::turningPoint($skewness), 9.0];
        if ($x <= self::corrected($low, $skewness)) {
            return -9.0;
        }
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2.0;
            if (self::corrected($middle, $skewness) < $x) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2.0;
    }

    /** The largest z at which the correction stops growing; skewness 0 or more. */
    private static function turningPoint(float $skewness): float
    {
        $a = $skewness ** 2 / 48.0;
        $b = $skewness / 3.0;
        $under = $b ** 2 - 4.0 * $a * (1.0 - 7.0 * $skewness ** 2 / 144.0);

        return $a < 1e-12 || $under < 0.0 ? -9.0 : max(-9.0, (-$b + sqrt($under)) / (2.0 * $a));
    }

    private function skewness(): float
    {
        $deviation = $this->total->standardDeviationSeconds();

        return $deviation > 0.0 ? $this->total->third / $deviation ** 3 : 0.0;
    }
}
