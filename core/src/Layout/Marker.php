<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** One marker to lay: where, and of which colour. */
final readonly class Marker
{
    public function __construct(public Point $at, public string $colour, public MarkerShape $shape)
    {
    }

    /** The plain marker of a drawing. */
    public static function white(float $xMetres, float $yMetres): self
    {
        return new self(new Point($xMetres, $yMetres), 'white', MarkerShape::Triangle);
    }

    /** The one told apart from it: the other end, the other row, a goal. */
    public static function blue(float $xMetres, float $yMetres): self
    {
        return new self(new Point($xMetres, $yMetres), 'blue', MarkerShape::Square);
    }
}
