<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Shared\Length;

/** A measured line of the drawing, from one point to another, with the length to write on it. */
final readonly class DimensionLine
{
    public function __construct(public Point $from, public Point $to, public Length $length)
    {
    }
}
