<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Statistics;

use FleetSparrow\Core\Exception\InvalidValue;
use FleetSparrow\Core\Statistics\Chances;
use FleetSparrow\Core\Statistics\CountDistribution;
use FleetSparrow\Core\Statistics\Median;
use FleetSparrow\Core\Statistics\NormalDistribution;
use FleetSparrow\Core\Statistics\Quantiles;
use PHPUnit\Framework\TestCase;

/** Reference values printed by R 4.2.2 with the call named beside each. */
final class StatisticsTest extends TestCase
{
    public function test_normal_distribution_agrees_with_r(): void
    {
        // R: pnorm(c(-3, -1.5, 0.84, 1.96, 5))
        foreach ([
            [-3.0, 0.00134989803163],
            [-1.5, 0.06680720126886],
            [0.84, 0.79954580673955],
            [1.96, 0.97500210485178],
            [5.0, 0.99999971334843],
        ] as [$z, $p]) {
            self::assertEqualsWithDelta($p, NormalDistribution::cdf($z), 1e-12);
        }
        // R: qnorm(c(0.001, 0.025, 0.2, 0.5, 0.8, 0.975, 0.9999))
        foreach ([
            [0.001, -3.090232306168],
            [0.025, -1.959963984540],
            [0.2, -0.841621233573],
            [0.5, 0.0],
            [0.8, 0.841621233573],
            [0.975, 1.959963984540],
            [0.9999, 3.719016485456],
        ] as [$p, $z]) {
            self::assertEqualsWithDelta($z, NormalDistribution::quantile($p), 1e-9);
        }
    }

    public function test_middles_of_equal_slices_are_those_of_r(): void
    {
        // R: qnorm((1:4 - .5) / 4); qnorm((1:3 - .5) / 3)
        self::assertEqualsWithDelta([-1.150349380, -0.318639364, 0.318639364, 1.150349380], NormalDistribution::middles(4), 1e-9);
        self::assertEqualsWithDelta([-0.967421566, 0.0, 0.967421566], NormalDistribution::middles(3), 1e-9);
    }

    public function test_quantile_undoes_the_distribution(): void
    {
        for ($i = 1; $i < 1000; $i++) {
            self::assertEqualsWithDelta($i / 1000, NormalDistribution::cdf(NormalDistribution::quantile($i / 1000)), 1e-12);
        }
    }

    public function test_misses_at_a_known_chance_agree_with_r(): void
    {
        $misses = Chances::misses(10, 0.6);
        $within = fn (int $most): float => count(array_filter($misses, fn (int $one): bool => $one <= $most)) / count($misses);
        // R: pnbinom(c(2, 5), 10, .6); of 9 and 13 added up term by term.
        foreach ([2 => 0.083443322880, 5 => 0.403215550415, 9 => 0.813907978585, 13 => 0.965077920794] as $most => $share) {
            self::assertEqualsWithDelta($share, $within($most), 0.5 / count($misses) + 1e-9);
        }
        // n(1 − p)/p: Johnson, Kemp and Kotz, Univariate Discrete Distributions, 5.3
        self::assertEqualsWithDelta(6.6666667, array_sum($misses) / count($misses), 0.02);
    }

    public function test_beta_negative_binomial_agrees_with_integrating_in_r(): void
    {
        // R: integrate(function(x) dnbinom(k, 8, x) * dbeta(x, 6.5, 3.5), 0, 1), summed over k
        $misses = CountDistribution::betaNegativeBinomial(8, 6.5, 3.5);
        foreach ([
            0 => 0.0818356600674,
            4 => 0.5750405788422,
            9 => 0.8631502739154,
            19 => 0.9807446815015,
            30 => 0.9964332724915,
        ] as $k => $p) {
            self::assertEqualsWithDelta($p, $misses->cumulative[$k], 1e-9);
        }
    }

    public function test_beta_negative_binomial_of_a_sure_chance_is_the_plain_one(): void
    {
        // n(1 − p)/p of ten good ones at 0.6.
        self::assertEqualsWithDelta(6.6666667, CountDistribution::betaNegativeBinomial(10, 6e6, 4e6)->mean(), 1e-3);
    }

    public function test_the_slowest_of_unlike_workers_agrees_with_integrating_in_r(): void
    {
        // R: s <- sqrt(log(1 + .25^2)); m <- c(2, 2, 2.6, 3.5); cdf <- function(x) sapply(x, function(v) prod(plnorm(v, log(m) - s^2/2,
        // s)))
        // R: e <- function(n) integrate(function(x) n * x^(n - 1) * (1 - cdf(x)), 0, 60, rel.tol = 1e-10, subdivisions = 2000)$value
        // R: a <- e(1); c(a, e(2) - a^2, e(3) - 3 * a * e(2) + 2 * a^3)
        $middles = NormalDistribution::middles(Quantiles::COUNT);
        $largest = fn (float ...$means): Quantiles => Quantiles::largest(
            array_map(fn (float $mean): Quantiles => Quantiles::logNormal($mean, 0.25, $middles), array_values($means)),
        );
        $unlike = $largest(2.0, 3.5, 2.0, 2.6);
        self::assertEqualsWithDelta([3.636389687, 0.636089567], [$unlike->mean(), $unlike->variance()], 0.012);
        // Who is far behind decides alone.
        $behind = $largest(30.0, 1.0, 1.0);
        self::assertEqualsWithDelta([30.0, 7.5], [$behind->mean(), sqrt($behind->variance())], 0.1);
    }

    public function test_slowest_of_log_normal_workers_agrees_with_integrating_in_r(): void
    {
        // R: s <- sqrt(log(1 + .25^2)); m <- -s^2/2; integrate(function(x) 1 - plnorm(x, m, s)^w, 0, 10)
        $one = Quantiles::logNormal(1.0, 0.25, NormalDistribution::middles(1024));
        foreach ([1 => 1.0, 2 => 1.13821651429, 7 => 1.36988387817, 14 => 1.48977189083] as $workers => $mean) {
            self::assertEqualsWithDelta($mean, $one->largestOfSame($workers)->mean(), 3e-3);
        }
        // The slower of two has mean 2·Φ(σ ÷ √2).
        foreach ([0.1, 0.25, 0.6] as $cv) {
            self::assertEqualsWithDelta(
                2.0 * NormalDistribution::cdf(sqrt(log(1.0 + $cv ** 2) / 2.0)),
                Quantiles::logNormal(1.0, $cv, NormalDistribution::middles(1024))->largestOfSame(2)->mean(),
                3e-3,
            );
        }
    }

    public function test_a_hopeless_chance_still_has_a_finite_mean(): void
    {
        $mean = CountDistribution::betaNegativeBinomial(10, 0.5, 20.0)->mean();
        self::assertTrue(is_finite($mean) && $mean > 0);
    }

    public function test_median_takes_the_middle_or_the_mean_of_the_two(): void
    {
        self::assertSame(3.0, Median::of([5.0, 1.0, 3.0]));
        self::assertSame(2.0, Median::of([3.0, 1.0]));
        self::assertSame(4.0, Median::of([4.0]));
        $this->expectException(InvalidValue::class);
        Median::of([]);
    }
}
