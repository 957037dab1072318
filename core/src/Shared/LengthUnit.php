<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/**
 * Units a squad may measure its ground in.
 *
 * Yard and foot are exact by definition (NIST Handbook 44, Appendix C: 1 yd = 0.9144 m, 1 ft = 0.3048 m).
 * A pace is 0.75 m here: common practice, no source.
 */
enum LengthUnit: string
{
    case Metre = 'm';
    case Yard = 'yd';
    case Foot = 'ft';
    case Pace = 'pace';

    /** Whole tenths of a millimetre in one unit, so that conversions start from an integer. */
    public function tenthsOfMillimetre(): int
    {
        return match ($this) {
            self::Metre => 10_000,
            self::Yard => 9_144,
            self::Foot => 3_048,
            self::Pace => 7_500,
        };
    }
}
