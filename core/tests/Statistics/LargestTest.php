<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Statistics;

use FleetSparrow\Core\Statistics\Largest;
use FleetSparrow\Core\Statistics\Quantiles;
use PHPUnit\Framework\TestCase;

/** The largest of unlike ones from values in any order. */
final class LargestTest extends TestCase
{
    public function test_the_longest_of_exponential_waits(): void
    {
        // Of rates a, b and c the mean is 1/a + 1/b + 1/c − 1/(a+b) − 1/(a+c) − 1/(b+c) + 1/(a+b+c), by inclusion and exclusion.
        $mean = 1.0 + 1.0 / 2.0 + 1.0 / 5.0 - 1.0 / 3.0 - 1.0 / 6.0 - 1.0 / 7.0 + 1.0 / 8.0;
        $largest = Largest::of([[self::waits(1.0), 1], [self::waits(2.0), 1], [self::waits(5.0), 1]], 1024);
        self::assertEqualsWithDelta($mean, array_sum($largest) / 1024, 4e-3);
        // P(≤ x) = (1 − e^−x)(1 − e^−2x)(1 − e^−5x).
        foreach ([0.2, 0.5, 0.8, 0.97] as $share) {
            $x = $largest[(int) ($share * 1024)];
            self::assertEqualsWithDelta($share, (1.0 - exp(-$x)) * (1.0 - exp(-2.0 * $x)) * (1.0 - exp(-5.0 * $x)), 4e-3);
        }
    }

    public function test_the_order_of_the_values_says_nothing(): void
    {
        [$one, $two] = [self::waits(1.0), self::waits(2.0)];
        $largest = Largest::of([[$one, 1], [$two, 3]], 256);
        self::assertEqualsWithDelta($largest, Largest::of([[array_reverse($one), 1], [array_reverse($two), 3]], 256), 1e-12);
        self::assertEqualsWithDelta($largest, Largest::of([[$one, 1], [$two, 1], [$two, 1], [$two, 1]], 256), 1e-12);
    }

    public function test_a_limit_is_an_atom_and_the_least_of_the_slowest_is_the_least(): void
    {
        // A fifth are stopped at 10; the others are done by 4, but nobody before whoever takes 5.
        $limited = [...array_fill(0, 100, 10.0), ...array_map(static fn (int $i): float => 1.0 + 3.0 * $i / 400.0, range(0, 399))];
        $largest = Quantiles::of(Largest::of([[$limited, 1], [[5.0], 1]], 256));
        self::assertSame([5.0, 10.0], array_values(array_unique($largest->values)));
        self::assertEqualsWithDelta(0.8, $largest->shareWithin(5.0), 1.0 / 256.0);
        self::assertSame([3.0], array_values(array_unique(Largest::of([[[3.0], 1], [[2.0], 4]], 8))));
    }

    /** @return list<float> exponential of this rate, at the middles of 1,024 slices, strewn */
    private static function waits(float $rate): array
    {
        return array_map(static fn (int $i): float => -log(1.0 - ($i * 389 % 1024 + 0.5) / 1024.0) / $rate, range(0, 1023));
    }
}
