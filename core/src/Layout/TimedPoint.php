<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** Where something is so many seconds after a rep began. */
final readonly class TimedPoint
{
    public function __construct(public Point $at, public float $seconds)
    {
    }
}
