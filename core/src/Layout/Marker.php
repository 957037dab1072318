<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** One marker to lay: where, and of which colour. */
final readonly class Marker
{
    public function __construct(public Point $at, public string $colour, public MarkerShape $shape)
    {
    }
}
