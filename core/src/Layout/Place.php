<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** Where somebody stands when a rep begins. */
final readonly class Place
{
    public function __construct(public Point $at, public PlaceRole $role)
    {
    }
}
