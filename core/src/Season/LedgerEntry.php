<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Touch\Tally;

/** What one drill of one session came to for one player. */
final readonly class LedgerEntry
{
    /** @param  string  $family  of the drill */
    public function __construct(
        public CalendarDate $on,
        public string $drill,
        public string $family,
        public float $workSeconds,
        public Tally $estimated,
        public Tally $counted,
    ) {
    }
}
