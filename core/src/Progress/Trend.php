<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

/** What lately can be said of a line. */
enum Trend: string
{
    case TooFew = 'too-few';
    case NoClearChange = 'no-clear-change';
    case Better = 'better';
    case ClearlyBetter = 'clearly-better';
    case Worse = 'worse';
    case ClearlyWorse = 'clearly-worse';

    public function words(): string
    {
        return match ($this) {
            self::TooFew => 'too few days to say',
            self::NoClearChange => 'no clear change lately',
            self::Better => 'likely better lately',
            self::ClearlyBetter => 'clearly better lately',
            self::Worse => 'likely worse lately',
            self::ClearlyWorse => 'clearly worse lately',
        };
    }
}
