<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

/** Unused skill fades: what has not been met for three weeks is stale (default, debated among coaches). */
final class Fade
{
    public const STALE_AFTER_DAYS = 21;

    public static function isStale(int $daysAgo): bool
    {
        return $daysAgo > self::STALE_AFTER_DAYS;
    }

    /**
     * How far something has faded, from 0 on the day to 1 when it counts as not met at all.
     *
     * Example: `Fade::share(7)` is `1.0 / 3.0`.
     */
    public static function share(int $daysAgo): float
    {
        return min(1.0, max(0, $daysAgo) / self::STALE_AFTER_DAYS);
    }
}
