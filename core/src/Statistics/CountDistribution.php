<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

/**
 * A distribution over 0, 1, 2 … given by its cumulative probabilities.
 *
 * The list ends where all but TAIL is covered (or at MOST), and the rest is put on the last value,
 * so that mean and variance are always finite.
 */
final readonly class CountDistribution
{
    private const TAIL = 1e-8;

    private const MOST = 3000;

    /** A sum is worked out as far as all but this of each part. */
    private const TAIL_OF_SUM = 3e-4;

    /** @param  non-empty-list<float>  $cumulative P(X ≤ k) for k = 0, 1, 2 …; the last is 1 */
    private function __construct(public array $cumulative)
    {
    }

    /**
     * Failures before the n-th success when the probability is itself uncertain, Beta(alpha, beta).
     *
     * Johnson, Kemp and Kotz, Univariate Discrete Distributions, 3rd ed., section 6.2.2 (beta-negative-binomial).
     */
    public static function betaNegativeBinomial(int $successes, float $alpha, float $beta): self
    {
        $none = 1.0;
        for ($i = 0; $i < $successes; $i++) {
            $none *= ($alpha + $i) / ($alpha + $beta + $i);
        }

        return self::fromRatio(
            $none,
            static fn (int $k): float => ($successes + $k) * ($beta + $k) / (($k + 1) * ($alpha + $beta + $successes + $k)),
        );
    }

    public function mean(): float
    {
        $mean = 0.0;
        foreach ($this->cumulative as $p) {
            $mean += 1.0 - $p;
        }

        return $mean;
    }

    /** @return non-empty-list<float> P(X = k), what is left of the tail on the last */
    public function shares(): array
    {
        $shares = [];
        $before = 0.0;
        foreach ($this->cumulative as $p) {
            $isLast = 1.0 - $p <= self::TAIL_OF_SUM;
            $shares[] = ($isLast ? 1.0 : $p) - $before;
            $before = $p;
            if ($isLast) {
                break;
            }
        }

        return $shares;
    }

    /** @param  callable(int): float  $ratio P(k + 1) ÷ P(k) */
    private static function fromRatio(float $none, callable $ratio): self
    {
        $cumulative = [];
        $sum = 0.0;
        $p = $none;
        $k = 0;
        for (; $k < self::MOST && 1.0 - $sum > self::TAIL; $k++) {
            $sum += $p;
            $cumulative[] = min($sum, 1.0);
            $p *= $ratio($k);
        }
        $cumulative[max(0, $k - 1)] = 1.0;

        return new self(array_values($cumulative));
    }
}
