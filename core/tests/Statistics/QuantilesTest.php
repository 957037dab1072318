<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Statistics;

use FleetSparrow\Core\Statistics\Chances;
use FleetSparrow\Core\Statistics\NormalDistribution;
use FleetSparrow\Core\Statistics\Quantiles;
use PHPUnit\Framework\TestCase;

/** Distributions as equally likely values, against closed forms. */
final class QuantilesTest extends TestCase
{
    public function test_shares_and_values(): void
    {
        $four = Quantiles::of([4.0, 1.0, 3.0, 2.0]);
        self::assertSame([1.0, 2.0, 2.0, 3.0, 4.0], array_map($four->at(...), [0.0, 0.26, 0.5, 0.75, 1.0]));
        self::assertSame([0.0, 0.5, 1.0], array_map($four->shareWithin(...), [0.9, 2.5, 4.0]));
        self::assertSame([2.5, 1.25], [$four->mean(), $four->variance()]);
        self::assertSame([2.0, 2.0, 2.0, 1.0], array_reverse($four->atMost(2.0)->values));
    }

    public function test_a_log_normal_has_the_mean_and_the_spread_it_is_asked_for(): void
    {
        $times = Quantiles::logNormal(60.0, 0.25, NormalDistribution::middles(4096));
        self::assertEqualsWithDelta([60.0, 15.0], [$times->mean(), sqrt($times->variance())], 0.05);
        // Its median is mean ÷ √(1 + cv²).
        self::assertEqualsWithDelta(60.0 / sqrt(1.0625), $times->at(0.5), 0.05);
        self::assertSame([0.0], Quantiles::logNormal(0.0, 0.25, [0.0])->values);
        self::assertTrue(Quantiles::logNormal(9.0, 0.0, [0.0])->isFixed());
    }

    public function test_sums_have_the_sum_of_means_and_variances(): void
    {
        $one = Quantiles::logNormal(100.0, 0.25, NormalDistribution::middles(256));
        $sum = $one->plus(Quantiles::logNormal(50.0, 0.5, NormalDistribution::middles(256)))->plus(Quantiles::fixed(7.0));
        self::assertEqualsWithDelta(157.0, $sum->mean(), 0.3);
        self::assertEqualsWithDelta(sqrt(2 * 625.0), sqrt($sum->variance()), 0.9);
    }

    public function test_the_sum_of_many_is_nearly_normal(): void
    {
        // Of n uniforms: mean n ÷ 2, variance n ÷ 12, and eight in ten lie under the mean and 0.842 deviations.
        $uniform = Quantiles::of(array_map(fn (int $i): float => ($i + 0.5) / 256, range(0, 255)));
        foreach ([3, 8, 20, 40] as $count) {
            $sum = Quantiles::sum([...array_fill(0, $count, $uniform), Quantiles::fixed(5.0)]);
            $deviation = sqrt($count / 12.0);
            self::assertEqualsWithDelta(5.0 + $count / 2.0, $sum->mean(), 1e-9);
            self::assertEqualsWithDelta(1.0, sqrt($sum->variance()) / $deviation, 0.025, "{$count}");
            self::assertEqualsWithDelta(0.842, ($sum->at(0.8) - $sum->mean()) / $deviation, 0.05, "{$count}");
        }
        self::assertSame([7.0], Quantiles::sum([Quantiles::fixed(3.0), Quantiles::fixed(4.0)])->values);
    }

    public function test_the_largest_of_even_ones(): void
    {
        // Of n uniforms the largest has the mean n ÷ (n + 1), and P(≤ x) = x^n.
        $uniform = Quantiles::of(array_map(fn (int $i): float => ($i + 0.5) / 1024, range(0, 1023)));
        foreach ([2, 7, 20] as $count) {
            self::assertEqualsWithDelta($count / ($count + 1), $uniform->largestOfSame($count)->mean(), 2e-3);
            self::assertEqualsWithDelta(0.8 ** (1 / $count), Quantiles::largest(array_fill(0, $count, $uniform))->at(0.8), 4e-3);
        }
        // Unlike ones: uniform to 1 and to 2, P(≤ x) = x² ÷ 2 below 1 and x ÷ 2 above.
        $unlike = Quantiles::largest([$uniform, $uniform->times(2.0)]);
        self::assertEqualsWithDelta([sqrt(0.5), 1.6], [$unlike->at(0.25), $unlike->at(0.8)], 6e-3);
    }

    public function test_nothing_is_interpolated_across_an_atom(): void
    {
        // Half end at 1, the others at their limit of 3: of two, a quarter ends at 1, and nobody in between.
        $limited = Quantiles::of([...array_fill(0, 128, 1.0), ...array_fill(0, 128, 3.0)]);
        foreach ([$limited->largestOfSame(2), Quantiles::largest([$limited, $limited->times(1.0)])] as $two) {
            self::assertSame([1.0, 3.0], array_values(array_unique($two->values)));
            self::assertEqualsWithDelta(0.25, $two->shareWithin(1.0), 0.01);
        }
    }

    public function test_weights_are_kept(): void
    {
        $weighted = Quantiles::weighted([[10.0, 3.0], [40.0, 1.0], [20.0, 4.0]]);
        self::assertEqualsWithDelta([10.0, 20.0, 40.0], [$weighted->at(0.37), $weighted->at(0.38), $weighted->at(0.9)], 1e-9);
        self::assertEqualsWithDelta(150.0 / 8.0, $weighted->mean(), 1e-9);
    }

    public function test_chances_of_a_beta(): void
    {
        // Beta(1, 1) is even, Beta(2, 1) has the quantile √u, Beta(1, 3) the quantile 1 − (1 − u)^⅓.
        foreach (range(0, Chances::NODES - 1) as $i) {
            $share = ($i + 0.5) / Chances::NODES;
            self::assertEqualsWithDelta($share, self::chances(1.0, 1.0)[$i], 1e-3);
            self::assertEqualsWithDelta(sqrt($share), self::chances(2.0, 1.0)[$i], 1e-3);
            self::assertEqualsWithDelta(1.0 - (1.0 - $share) ** (1 / 3), self::chances(1.0, 3.0)[$i], 1e-3);
        }
        self::assertSame(array_fill(0, Chances::NODES, 1.0), self::chances(10.0, 0.0));
        // R: qbeta(0.5, 9.5, 0.5) = 0.9752, from memory; the density has a pole at 1.
        self::assertEqualsWithDelta(0.975, self::chances(9.5, 0.5)[intdiv(Chances::NODES, 2)], 4e-3);
        // By the theorem of de Moivre and Laplace its middle half lies within 0.674 deviations of 0.4.
        self::assertEqualsWithDelta(
            [0.4 - 0.674 * sqrt(0.24 / 2001), 0.4 + 0.674 * sqrt(0.24 / 2001)],
            [self::chances(800.0, 1200.0)[15], self::chances(800.0, 1200.0)[48]],
            1e-3,
        );
        self::assertEqualsWithDelta([0.2, 0.4], [Chances::ofCell(75), Chances::ofCell(111)], 5e-3);
    }

    /** @return list<float> */
    private static function chances(float $alpha, float $beta): array
    {
        return array_map(
            static fn (float $angle): float => sin($angle / 256.0 * M_PI_2) ** 2,
            Chances::angles($alpha, $beta, Chances::logsOfAngles()),
        );
    }

    public function test_misses_before_the_first_good_one_are_geometric(): void
    {
        foreach ([0.25, 0.6, 0.95] as $chance) {
            foreach (Chances::misses(1, $chance) as $i => $misses) {
                $share = ($i + 0.5) / Chances::SLICES;
                self::assertSame((int) max(0, ceil(log(1.0 - $share) / log(1.0 - $chance) - 1e-9) - 1), $misses);
            }
        }
        self::assertSame([0], array_values(array_unique(Chances::misses(10, 1.0))));
    }
}
