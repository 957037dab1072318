<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** Which numbers are written down: both feet, two sets and 14 players are 56 of them, and two minutes. */
enum OwedSets: string
{
    /** Once a foot, after the last set: the usual way. */
    case Best = 'best';

    /** Every set, where it matters how much is left in the last one. */
    case Every = 'every';

    public function words(): string
    {
        return match ($this) {
            self::Best => 'the best of the sets',
            self::Every => 'every set',
        };
    }
}
