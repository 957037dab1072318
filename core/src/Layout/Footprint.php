<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** The ground one station takes, in whole millimetres: bare, and with clearance all round. */
final readonly class Footprint
{
    /** International yard and pound agreement of 1959. */
    private const METRES_A_YARD = 0.9144;

    public function __construct(public int $widthMillimetres, public int $depthMillimetres, public int $clearanceMillimetres)
    {
    }

    /** As it is paced out, in metres and in yards. Example: `(new Footprint(9144, 4572, 0))->words()` is `'9.1 by 4.6 m (10 by 5 yd)'`. */
    public function words(): string
    {
        [$width, $depth] = [$this->widthMillimetres / 1000, $this->depthMillimetres / 1000];

        return sprintf('%s by %s m', round($width, 1), round($depth, 1))
            .sprintf(' (%s by %s yd)', round($width / self::METRES_A_YARD, 1), round($depth / self::METRES_A_YARD, 1));
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
