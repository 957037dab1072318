<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

use FleetSparrow\Core\Shared\Keepable;

/**
 * A distribution as equally likely values, growing: value i stands for the share from i ÷ n to (i + 1) ÷ n.
 *
 * For times that have no moments (a quota at a low chance), or an atom (a limit): nothing is interpolated across equal values.
 *
 * Example: `Quantiles::of([3.0, 1.0, 2.0, 4.0])->at(0.5)` is `2.0`.
 */
final readonly class Quantiles implements Keepable
{
    /** As many as the slowest of unlike ones has, and a sum at least; this tool's own value. */
    public const COUNT = 256;

    /** As many as a sum has at most: with fewer, the tail of many sums gets shorter with each. */
    private const FINE = 4 * self::COUNT;

    /** As many are summed up at once: with more, so few points no longer fill the cube evenly. */
    private const AT_ONCE = 8;

    private const BINS = 1500;

    public float $mean;

    /** @param  list<float>  $values  growing */
    private function __construct(public array $values)
    {
        $this->mean = array_sum($values) / count($values);
    }

    public static function fixed(float $value): self
    {
        return new self([$value]);
    }

    /** @param  list<float>  $values  in any order */
    public static function of(array $values): self
    {
        sort($values, SORT_NUMERIC);

        return new self($values);
    }

    /**
     * Log-normal with this mean and coefficient of variation: log variance ln(1 + cv²), log mean ln(mean) − half of it.
     *
     * @param  list<float>  $middles  of as many slices of the standard normal distribution as there are to be values
     */
    public static function logNormal(float $mean, float $coefficientOfVariation, array $middles): self
    {
        if ($mean <= 0.0 || $coefficientOfVariation <= 0.0) {
            return self::fixed($mean);
        }
        $variance = log(1.0 + $coefficientOfVariation ** 2);
        [$middle, $deviation] = [log($mean) - $variance / 2.0, sqrt($variance)];
        $values = [];
        foreach ($middles as $z) {
            $values[] = exp($middle + $deviation * $z);
        }

        // The middles of the outer slices lie a little within their means.
        return (new self($values))->times($mean * count($values) / array_sum($values));
    }

    /**
     * From values with weights, gathered in bins of equal ratio: each bin stands where its own values lie on average.
     *
     * @param  list<array{float, float}>  $weighted  value over 0, weight
     */
    public static function weighted(array $weighted, int $count = self::FINE): self
    {
        [$least, $most] = [INF, 0.0];
        foreach ($weighted as [$value]) {
            [$least, $most] = [min($least, $value), max($most, $value)];
        }
        $scale = self::BINS / max(1e-9, log($most / $least));
        [$weights, $sums, $all] = [[], [], 0.0];
        foreach ($weighted as [$value, $weight]) {
            $bin = (int) (log($value / $least) * $scale);
            $weights[$bin] = ($weights[$bin] ?? 0.0) + $weight;
            $sums[$bin] = ($sums[$bin] ?? 0.0) + $weight * $value;
            $all += $weight;
        }
        ksort($weights);
        [$values, $under, $last] = [[], 0.0, $least];
        foreach ($weights as $bin => $weight) {
            $under += $weight;
            $last = $sums[$bin] / $weight;
            while (count($values) < $count && $under >= (count($values) + 0.5) / $count * $all) {
                $values[] = $last;
            }
        }

        return new self(array_pad($values, $count, $last));
    }

    public function packed(): string
    {
        return pack('d*', ...$this->values);
    }

    public static function unpacked(string $bytes): self
    {
        /** @var array<int, float> $values */
        $values = (array) unpack('d*', $bytes);

        return new self(array_values($values));
    }

    public function isFixed(): bool
    {
        return $this->values[0] === $this->values[count($this->values) - 1];
    }

    public function mean(): float
    {
        return $this->mean;
    }

    public function variance(): float
    {
        $mean = $this->mean();

        return array_sum(array_map(static fn (float $value): float => ($value - $mean) ** 2, $this->values)) / count($this->values);
    }

    /** The least value at or under which this share lies. */
    public function at(float $share): float
    {
        $count = count($this->values);

        return $this->values[max(0, min($count - 1, (int) ceil($share * $count - 1e-9) - 1))];
    }

    /** The share at or under a value. */
    public function shareWithin(float $value): float
    {
        [$low, $high] = [0, count($this->values)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->values[$middle] <= $value) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low / count($this->values);
    }

    public function times(float $factor): self
    {
        $values = [];
        foreach ($this->values as $value) {
            $values[] = $value * $factor;
        }

        return new self($values);
    }

    public function atMost(float $limit): self
    {
        return new self(array_map(static fn (float $value): float => min($limit, $value), $this->values));
    }

    /**
     * The sum of independent ones.
     *
     * @param  list<self>  $each
     */
    public static function sum(array $each): self
    {
        [$fixed, $open] = [0.0, []];
        foreach ($each as $one) {
            if ($one->isFixed()) {
                $fixed += $one->values[0];
            } else {
                $open[] = $one;
            }
        }
        while (count($open) > self::AT_ONCE) {
            $open = array_map(self::sum(...), array_chunk($open, self::AT_ONCE));
        }

        return match (count($open)) {
            0 => self::fixed($fixed),
            1 => $open[0]->shifted($fixed),
            default => self::of(Lattice::sums(self::atPoints($open)))->shifted($fixed),
        };
    }

    public function plus(self $other): self
    {
        return self::sum([$this, $other]);
    }

    /** The product with an independent one. */
    public function scaledBy(self $other): self
    {
        if ($other->isFixed() || $this->isFixed()) {
            return $other->isFixed() ? $this->times($other->values[0]) : $other->times($this->values[0]);
        }
        [$mine, $theirs] = self::atPoints([$this, $other]);

        return self::of(array_map(
            static fn (float $one, float $another): float => $one * $another,
            $mine,
            Lattice::ordered($theirs, 1),
        ));
    }

    private function shifted(float $by): self
    {
        if ($by === 0.0) {
            return $this;
        }
        $values = [];
        foreach ($this->values as $value) {
            $values[] = $value + $by;
        }

        return new self($values);
    }

    /** The largest of so many independent ones of this kind: P(all ≤ x) = P(one ≤ x)^n. */
    public function largestOfSame(int $count): self
    {
        if ($count <= 1 || $this->isFixed()) {
            return $this;
        }
        $values = [];
        for ($i = 0; $i < self::COUNT; $i++) {
            $values[] = $this->between((($i + 0.5) / self::COUNT) ** (1.0 / $count));
        }

        return new self($values);
    }

    /**
     * The largest of independent ones, some of them alike.
     *
     * @param  non-empty-list<self>  $each
     */
    public static function largest(array $each): self
    {
        $alike = [];
        foreach ($each as $one) {
            $alike["{$one->values[0]} {$one->mean} ".count($one->values)][] = $one;
        }
        $kinds = array_map(static fn (array $same): array => [$same[0]->values, count($same)], array_values($alike));

        return count($kinds) === 1 ? $each[0]->largestOfSame(count($each)) : self::largestOfUnlike($kinds);
    }

    /** @param  non-empty-list<array{list<float>, int<1, max>}>  $kinds  equally likely values in any order, and of how many */
    public static function largestOfUnlike(array $kinds): self
    {
        return new self(Largest::of($kinds, self::COUNT));
    }

    /** @return list<float> what stands at the middle of each of so many slices, as in at(), in whole numbers */
    public function inSlices(int $slices): array
    {
        $count = count($this->values);
        if ($count === $slices) {
            return $this->values;
        }
        $values = [];
        for ($i = 0; $i < $slices; $i++) {
            $values[] = $this->values[intdiv((2 * $i + 1) * $count - 1, 2 * $slices)];
        }

        return $values;
    }

    /**
     * @param  non-empty-list<self>  $each
     * @return non-empty-list<list<float>> each in as many slices as the finest has, up to the most of a sum
     */
    private static function atPoints(array $each): array
    {
        $most = max(array_map(static fn (self $one): int => count($one->values), $each));
        $points = self::COUNT;
        while ($points < $most && $points < self::FINE) {
            $points *= 2;
        }

        return array_map(static fn (self $one): array => $one->inSlices($points), $each);
    }

    /** The quantile between two values, never across equal ones. */
    private function between(float $share): float
    {
        $last = count($this->values) - 1;
        $at = $share * count($this->values) - 0.5;
        $low = max(0, min($last, (int) floor($at)));
        $high = min($last, $low + 1);
        [$from, $to] = [$this->values[$low], $this->values[$high]];
        $isAtom = ($low > 0 && $from === $this->values[$low - 1]) || ($high < $last && $to === $this->values[$high + 1]);

        return $isAtom ? ($at - $low < 0.5 ? $from : $to) : $from + max(0.0, $at - $low) * ($to - $from);
    }
}
