<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

/** How evenly touches are shared between the feet. */
final class FootBalance
{
    /** The lesser foot under this share of the touches is out of balance (default). */
    public const LEAST_SHARE = 0.4;

    /**
     * The lesser foot's share; a half where neither touches anything.
     *
     * Example: `FootBalance::share(30.0, 10.0)` is `0.25`.
     */
    public static function share(float $left, float $right): float
    {
        return $left + $right > 0.0 ? min($left, $right) / ($left + $right) : 0.5;
    }

    public static function isKept(float $left, float $right): bool
    {
        return self::share($left, $right) >= self::LEAST_SHARE;
    }
}
