<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Surface;

/** One touch on the drawn way of the ball: where, with which foot and which part of it, and which way the ball goes there. */
final readonly class PathStitch
{
    /** @param  float  $radians  direction of travel, anticlockwise from x */
    public function __construct(public Point $at, public FootMark $foot, public Surface $surface, public float $radians)
    {
    }
}
