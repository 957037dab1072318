<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** A wall, or what stands in for one, from one point to another. */
final readonly class WallLine
{
    public function __construct(public Point $from, public Point $to)
    {
    }
}
