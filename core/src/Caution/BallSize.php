<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Caution;

use FleetSparrow\Core\Shared\AgeGroup;

/**
 * The ball an age group plays with: 3 to U8, 4 from U9 to U12, 5 from U13. Common in the United States; a squad may differ.
 *
 * Example: `BallSize::for(AgeGroup::of('U12'))` is `4`.
 */
final class BallSize
{
    /** Where an age group says nothing. */
    public const COMMON = 4;

    public static function for(AgeGroup $ageGroup): int
    {
        return match (true) {
            $ageGroup->under <= 8 => 3,
            $ageGroup->under <= 12 => 4,
            default => 5,
        };
    }
}
