<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

/**
 * The largest of independent unlike ones: the product of their distribution functions. What each has under a value is counted in bins,
 * so nothing has to be sorted: P(all ≤ x) = Π P(one ≤ x).
 */
final class Largest
{
    /** Between the least and the greatest that the largest can be; this tool's own value. */
    private const BINS = 512;

    /** @var array<int, float> bin → the share under its upper end; the first bin is a single value */
    private array $product;

    /** @var array<int, float> bin → the sum of the values there */
    private array $sums;

    /** @var array<int, int> bin → how many values are there */
    private array $counts;

    /** @var array<int, float> bin → where one of them ends: a limit is an atom, and stays what it is */
    private array $ends = [];

    private readonly float $scale;

    private function __construct(private readonly float $from, float $to)
    {
        $this->scale = (self::BINS - 1) / max(1e-9, $to - $from);
        $this->product = array_fill(0, self::BINS + 1, 1.0);
        $this->sums = array_fill(0, self::BINS + 1, 0.0);
        $this->counts = array_fill(0, self::BINS + 1, 0);
    }

    /**
     * @param  non-empty-list<array{list<float>, int<1, max>}>  $kinds  equally likely values in any order, and of how many
     * @return list<float> growing
     */
    public static function of(array $kinds, int $count): array
    {
        $least = array_map(static fn (array $kind): float => min(INF, ...$kind[0]), $kinds);
        $most = array_map(static fn (array $kind): float => max(-INF, ...$kind[0]), $kinds);
        $largest = new self(max($least), max($most));
        foreach ($kinds as $i => [$values, $alike]) {
            $largest->add($values, $alike, $most[$i]);
        }

        return $largest->slices($count);
    }

    /** @param  list<float>  $values */
    private function add(array $values, int $alike, float $most): void
    {
        // In names of their own, which is quicker.
        [$from, $scale, $sums, $under] = [$this->from, $this->scale, $this->sums, array_fill(0, self::BINS + 1, 0)];
        foreach ($values as $value) {
            // Up to there nothing of the largest lies: one of them is never less.
            $bin = $value <= $from ? 0 : 1 + (int) (($value - $from) * $scale);
            $under[$bin]++;
            $sums[$bin] += $alike * $value;
        }
        $this->sums = $sums;
        if ($most > $from) {
            $bin = 1 + (int) (($most - $from) * $scale);
            $this->ends[$bin] = max($most, $this->ends[$bin] ?? 0.0);
        }
        [$gone, $each, $product, $counts] = [0, 1.0 / count($values), $this->product, $this->counts];
        foreach ($under as $bin => $here) {
            $gone += $here;
            $counts[$bin] += $alike * $here;
            $product[$bin] *= $alike === 1 ? $gone * $each : ($gone * $each) ** $alike;
        }
        [$this->product, $this->counts] = [$product, $counts];
    }

    /** @return list<float> each bin stands where one of them ends, else where its own values lie on average */
    private function slices(int $count): array
    {
        [$values, $at] = [[], $this->from];
        foreach ($this->product as $bin => $share) {
            if ($bin > 0 && $this->counts[$bin] > 0) {
                $at = $this->ends[$bin] ?? $this->sums[$bin] / $this->counts[$bin];
            }
            while (count($values) < $count && $share >= (count($values) + 0.5) / $count) {
                $values[] = $at;
            }
        }

        return array_pad($values, $count, $at);
    }
}
