<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/**
 * Whether a number looks like a slip of the finger: five times the best so far or more, or a fifth of it or less. It is asked about and
 * kept all the same. Repeated in the run kernel; golden/slip.json holds both to it. This tool's own value, wide enough for a good day and
 * narrow enough for a digit too many.
 */
final class Slip
{
    private const TIMES = 5.0;

    /** Under this a first good day may be many times the best so far: from 1 to 8 in a row is no slip. */
    private const FROM = 4.0;

    /** Example: `Slip::isLikely(12.0, 120.0)` is `true`. */
    public static function isLikely(?float $bestSoFar, float $value): bool
    {
        return $bestSoFar !== null && $bestSoFar >= self::FROM
            && ($value >= $bestSoFar * self::TIMES || $value <= $bestSoFar / self::TIMES);
    }
}
