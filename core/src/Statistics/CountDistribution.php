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
     * Failures before the n-th success, each try succeeding with a known probability (R: pnbinom).
     *
     * Example: `round(CountDistribution::negativeBinomial(10, 0.6)->mean(), 4)` is `6.6667`.
     */
    public static function negativeBinomial(int $successes, float $probability): self
    {
        return self::fromRatio(
            $probability ** $successes,
            static fn (int $k): float => ($successes + $k) * (1.0 - $probability) / ($k + 1),
        );
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

    /**
     * The largest of independent counts: the product of their distribution functions.
     *
     * @param  non-empty-list<self>  $each
     */
    public static function largestOf(array $each): self
    {
        // Beyond the end of a shorter list its distribution function is 1, so only its own length is multiplied.
        usort($each, static fn (self $a, self $b): int => count($b->cumulative) <=> count($a->cumulative));
        $product = $each[0]->cumulative;
        foreach (array_slice($each, 1) as $one) {
            foreach ($one->cumulative as $k => $p) {
                $product[$k] *= $p;
            }
        }

        return new self(array_values($product));
    }

    /** The largest of so many independent counts that share this distribution. */
    public function largestOfSame(int $count): self
    {
        return $count === 1 ? $this : new self(array_map(static fn (float $p): float => $p ** $count, $this->cumulative));
    }

    /**
     * The sum of two independent counts, each value with each.
     *
     * Example: `round(CountDistribution::negativeBinomial(10, 0.6)->plus(CountDistribution::negativeBinomial(10, 0.6))->atMost(14.0), 6)`
     * is `0.6274`.
     */
    public function plus(self $other): self
    {
        [$one, $more] = [$this->shares(), $other->shares()];
        $sum = array_fill(0, count($one) + count($more) - 1, 0.0);
        foreach ($one as $k => $p) {
            foreach ($more as $j => $q) {
                $sum[$k + $j] += $p * $q;
            }
        }
        $cumulative = [];
        $reached = 0.0;
        foreach (array_slice($sum, 0, -1) as $p) {
            $cumulative[] = $reached = min(1.0, $reached + $p);
        }

        return new self([...$cumulative, 1.0]);
    }

    /** P(X ≤ x). */
    public function atMost(float $x): float
    {
        return $x < 0.0 ? 0.0 : $this->cumulative[(int) floor($x)] ?? 1.0;
    }

    public function mean(): float
    {
        $mean = 0.0;
        foreach ($this->cumulative as $p) {
            $mean += 1.0 - $p;
        }

        return $mean;
    }

    /** @return array{float, float, float} mean, variance, third central moment */
    public function moments(): array
    {
        $mean = $this->mean();
        [$variance, $third, $before] = [0.0, 0.0, 0.0];
        foreach ($this->cumulative as $k => $p) {
            $away = $k - $mean;
            $share = ($p - $before) * $away * $away;
            $variance += $share;
            $third += $share * $away;
            $before = $p;
        }

        return [$mean, $variance, $third];
    }

    /** The smallest k with P(X ≤ k) ≥ probability (R's convention for discrete quantiles). */
    public function quantile(float $probability): int
    {
        foreach ($this->cumulative as $k => $p) {
            if ($p >= $probability - 1e-12) {
                return $k;
            }
        }

        return count($this->cumulative) - 1;
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
