<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Statistics\NormalDistribution;

/**
 * When a session is likely to end, from its mean, variance and skewness (Cornish and Fisher 1938, first correction):
 * x(q) = μ + σ·(z + (z² − 1)·γ ÷ 6) with z the normal quantile of q and γ the skewness.
 */
final readonly class FinishTime
{
    private function __construct(private DurationEstimate $total)
    {
    }

    public static function of(DurationEstimate $total): self
    {
        return new self($total);
    }

    /** Seconds from the start by which a share of such sessions is over; share strictly between 0 and 1. */
    public function secondsReachedBy(float $share): float
    {
        $z = NormalDistribution::quantile($share);

        return $this->total->meanSeconds + $this->total->standardDeviationSeconds() * ($z + ($z ** 2 - 1.0) * $this->skewness() / 6.0);
    }

    /** The chance to be over within so many seconds: the inverse of the above, on the branch where it grows. */
    public function chanceWithin(float $seconds): float
    {
        $deviation = $this->total->standardDeviationSeconds();
        if ($deviation <= 0.0) {
            return $seconds >= $this->total->meanSeconds ? 1.0 : 0.0;
        }
        $x = ($seconds - $this->total->meanSeconds) / $deviation;
        $g = $this->skewness() / 6.0;
        if (abs($g) < 1e-9) {
            return NormalDistribution::cdf($x);
        }
        $root = 1.0 + 4.0 * $g * ($x + $g);

        return $root <= 0.0 ? ($g > 0.0 ? 0.0 : 1.0) : NormalDistribution::cdf((sqrt($root) - 1.0) / (2.0 * $g));
    }

    private function skewness(): float
    {
        $deviation = $this->total->standardDeviationSeconds();

        return $deviation > 0.0 ? $this->total->third / $deviation ** 3 : 0.0;
    }
}
