<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** What may stand in for a piece of kit that is not there. */
final readonly class StandIn
{
    /** @param  string  $for  marker, ball, wall, goal or target */
    public function __construct(public string $for, public string $use)
    {
    }
}
