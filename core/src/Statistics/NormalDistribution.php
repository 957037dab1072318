<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

/**
 * The standard normal distribution.
 *
 * Quantile: P. J. Acklam's rational approximation with one Halley step, absolute error under 1e-9.
 * Distribution: Chebyshev fit of the complementary error function (Press et al., Numerical Recipes, 3rd ed.,
 * section 6.2.2), relative error near machine precision. Both are checked against R's pnorm and qnorm.
 */
final class NormalDistribution
{
    /** P(Z ≤ z). */
    public static function cdf(float $z): float
    {
        return $z > 0 ? 1.0 - 0.5 * self::erfc($z / M_SQRT2) : 0.5 * self::erfc(-$z / M_SQRT2);
    }

    /** The z with P(Z ≤ z) = probability; probability strictly between 0 and 1. */
    public static function quantile(float $probability): float
    {
        $a = [
            -3.969683028665376e+01,
            2.209460984245205e+02,
            -2.759285104469687e+02,
            1.383577518672690e+02,
            -3.066479806614716e+01,
            2.506628277459239e+00,
        ];
        $b = [-5.447609879822406e+01, 1.615858368580409e+02, -1.556989798598866e+02, 6.680131188771972e+01, -1.328068155288572e+01];
        $c = [
            -7.784894002430293e-03,
            -3.223964580411365e-01,
            -2.400758277161838e+00,
            -2.549732539343734e+00,
            4.374664141464968e+00,
            2.938163982698783e+00,
        ];
        $d = [7.784695709041462e-03, 3.224671290700398e-01, 2.445134137142996e+00, 3.754408661907416e+00];
        if ($probability < 0.02425 || $probability > 0.97575) {
            $tail = min($probability, 1.0 - $probability);
            $q = sqrt(-2.0 * log($tail));
            $x = self::polynomial($c, $q) / (self::polynomial($d, $q) * $q + 1.0);
            $x = $probability < 0.5 ? $x : -$x;
        } else {
            $q = $probability - 0.5;
            $r = $q * $q;
            $x = self::polynomial($a, $r) * $q / (self::polynomial($b, $r) * $r + 1.0);
        }
        $error = self::cdf($x) - $probability;
        $step = $error * sqrt(2.0 * M_PI) * exp($x * $x / 2.0);

        return $x - $step / (1.0 + $x * $step / 2.0);
    }

    /**
     * The z at the middle of each of so many equally likely slices, growing: the same whatever is made of them.
     *
     * @param  int<1, max>  $slices
     * @return list<float>
     */
    public static function middles(int $slices): array
    {
        $under = [];
        for ($i = 0; $i < intdiv($slices, 2); $i++) {
            $under[] = self::quantile(($i + 0.5) / $slices);
        }
        $over = array_map(static fn (float $z): float => -$z, array_reverse($under));

        return [...$under, ...($slices % 2 === 1 ? [0.0] : []), ...$over];
    }

    /** Complementary error function for z ≥ 0. */
    private static function erfc(float $z): float
    {
        $coefficients = [
            -1.3026537197817094, 6.4196979235649026e-1, 1.9476473204185836e-2, -9.561514786808631e-3, -9.46595344482036e-4,
            3.66839497852761e-4, 4.2523324806907e-5, -2.0278578112534e-5, -1.624290004647e-6, 1.303655835580e-6, 1.5626441722e-8,
            -8.5238095915e-8, 6.529054439e-9, 5.059343495e-9, -9.91364156e-10, -2.27365122e-10, 9.6467911e-11, 2.394038e-12,
            -6.886027e-12, 8.94487e-13, 3.13092e-13, -1.12708e-13, 3.81e-16, 7.106e-15, -1.523e-15, -9.4e-17, 1.21e-16, -2.8e-17,
        ];
        $t = 2.0 / (2.0 + $z);
        $ty = 4.0 * $t - 2.0;
        [$d, $dd] = [0.0, 0.0];
        for ($j = count($coefficients) - 1; $j > 0; $j--) {
            $last = $d;
            $d = $ty * $d - $dd + $coefficients[$j];
            $dd = $last;
        }

        return $t * exp(-$z * $z + 0.5 * ($coefficients[0] + $ty * $d) - $dd);
    }

    /** @param  non-empty-list<float>  $coefficients highest power first */
    private static function polynomial(array $coefficients, float $x): float
    {
        $sum = 0.0;
        foreach ($coefficients as $coefficient) {
            $sum = $sum * $x + $coefficient;
        }

        return $sum;
    }
}
