<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Shared\CalendarDate;

/** One measured result on a record line. A void try is kept but counts for nothing. */
final readonly class Mark
{
    public function __construct(public CalendarDate $on, public float $value, public bool $void = false)
    {
    }
}
