<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

/**
 * Student's t distribution with any number of degrees of freedom over nought.
 *
 * By the incomplete beta function as a continued fraction (Lentz) and Lanczos' logarithm of the gamma function, as in Press et al.,
 * Numerical Recipes, 3rd ed., sections 6.1 and 6.4; checked against R's pt and qt.
 */
final class StudentT
{
    private const LANCZOS = [
        57.1562356658629235, -59.5979603554754912, 14.1360979747417471, -0.491913816097620199, .339946499848118887e-4,
        .465236289270485756e-4, -.983744753048795646e-4, .158088703224912494e-3, -.210264441724104883e-3,
        .217439618115212643e-3, -.164318106536763890e-3, .844182239838527433e-4, -.261908384015814087e-4, .368991826595316234e-5,
    ];

    /** P(T ≤ t). */
    public static function cdf(float $t, float $degrees): float
    {
        $tail = 0.5 * self::beta($degrees / 2.0, 0.5, $degrees / ($degrees + $t * $t));

        return $t > 0.0 ? 1.0 - $tail : $tail;
    }

    /** The t with P(T ≤ t) = probability; probability strictly between 0 and 1. To nine digits. */
    public static function quantile(float $probability, float $degrees): float
    {
        [$low, $high] = [-1.0, 1.0];
        while (self::cdf($low, $degrees) > $probability) {
            $low *= 2.0;
        }
        while (self::cdf($high, $degrees) < $probability) {
            $high *= 2.0;
        }
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2.0;
            [$low, $high] = self::cdf($middle, $degrees) < $probability ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2.0;
    }

    /** The regularised incomplete beta function. */
    private static function beta(float $a, float $b, float $x): float
    {
        if ($x <= 0.0 || $x >= 1.0) {
            return $x <= 0.0 ? 0.0 : 1.0;
        }
        $front = exp(self::logGamma($a + $b) - self::logGamma($a) - self::logGamma($b) + $a * log($x) + $b * log(1.0 - $x));

        return $x < ($a + 1.0) / ($a + $b + 2.0)
            ? $front * self::fraction($a, $b, $x) / $a
            : 1.0 - $front * self::fraction($b, $a, 1.0 - $x) / $b;
    }

    private static function fraction(float $a, float $b, float $x): float
    {
        $tiny = 1e-300;
        [$c, $d] = [1.0, 1.0 - ($a + $b) * $x / ($a + 1.0)];
        $d = 1.0 / (abs($d) < $tiny ? $tiny : $d);
        $value = $d;
        for ($m = 1; $m < 1000; $m++) {
            foreach ([
                $m * ($b - $m) * $x / (($a + 2.0 * $m - 1.0) * ($a + 2.0 * $m)),
                -($a + $m) * ($a + $b + $m) * $x / (($a + 2.0 * $m) * ($a + 2.0 * $m + 1.0)),
            ] as $step) {
                $d = 1.0 + $step * $d;
                $d = 1.0 / (abs($d) < $tiny ? $tiny : $d);
                $c = 1.0 + $step / $c;
                $c = abs($c) < $tiny ? $tiny : $c;
                $value *= $d * $c;
            }
            if (abs($d * $c - 1.0) < 1e-15) {
                break;
            }
        }

        return $value;
    }

    private static function logGamma(float $x): float
    {
        $shifted = $x + 671.0 / 128.0;
        $sum = 0.999999999999997092;
        foreach (self::LANCZOS as $i => $coefficient) {
            $sum += $coefficient / ($x + $i + 1.0);
        }

        return ($x + 0.5) * log($shifted) - $shifted + log(2.5066282746310005 * $sum / $x);
    }
}
