<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Shared\CalendarDate;

/** Something of one player that a reason may name: a number, and since when. */
final readonly class Noted
{
    public function __construct(public string $name, public float $value, public ?CalendarDate $since = null)
    {
    }
}
