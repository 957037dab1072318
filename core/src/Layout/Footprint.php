<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** The ground one station takes, in whole millimetres: bare, and with clearance all round. */
final readonly class Footprint
{
    public function __construct(public int $widthMillimetres, public int $depthMillimetres, public int $clearanceMillimetres)
    {
    }

    public function widthWithClearanceMetres(): float
    {
        return ($this->widthMillimetres + 2 * $this->clearanceMillimetres) / 1000;
    }

    public function depthWithClearanceMetres(): float
    {
        return ($this->depthMillimetres + 2 * $this->clearanceMillimetres) / 1000;
    }
}
