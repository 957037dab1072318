<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Shared\CalendarDate;

/** One day on a record line: the best valid try for records, the median of the valid tries for trends, their sum for the next plan. */
final readonly class SessionValue
{
    /**
     * @param  int  $tries  valid ones; at least one
     * @param  float  $total  of the valid tries
     * @param  int  $openTries  tries whose readings differ or are disputed
     */
    public function __construct(
        public CalendarDate $on,
        public float $best,
        public float $median,
        public int $tries,
        public float $total,
        public int $openTries = 0,
    ) {
    }

    public static function ofOneTry(CalendarDate $on, float $value): self
    {
        return new self($on, best: $value, median: $value, tries: 1, total: $value);
    }
}
