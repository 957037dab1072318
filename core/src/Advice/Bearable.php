<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

/** How long children stay with one thing, games left out; this tool's own values (default). */
final class Bearable
{
    private const MINUTES = [10 => 12.0, 14 => 15.0];

    private const OLDER = 20.0;

    /** @param  int|null  $underAge  the squad's age group; null where nobody has said */
    public static function minutes(?int $underAge): float
    {
        foreach (self::MINUTES as $under => $minutes) {
            if ($underAge !== null && $underAge <= $under) {
                return $minutes;
            }
        }

        return $underAge === null ? self::MINUTES[14] : self::OLDER;
    }
}
