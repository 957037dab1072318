<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** A word on the drawing: start, wall, server. */
final readonly class Label
{
    public function __construct(public Point $at, public string $text)
    {
    }
}
