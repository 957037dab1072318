<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** A place on the ground in metres; x to the right, y away from the coach. */
final readonly class Point
{
    public function __construct(public float $xMetres, public float $yMetres)
    {
    }

    public function distanceMetres(self $other): float
    {
        return hypot($other->xMetres - $this->xMetres, $other->yMetres - $this->yMetres);
    }

    /** The point at a distance in a direction (radians, anticlockwise from x). */
    public function toward(float $radians, float $metres): self
    {
        return new self($this->xMetres + $metres * cos($radians), $this->yMetres + $metres * sin($radians));
    }
}
