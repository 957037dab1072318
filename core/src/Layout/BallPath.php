<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** The way of the ball for one repetition: points joined by straight lines, and the exact length of the true curve. */
final readonly class BallPath
{
    /** @param  non-empty-list<Point>  $points */
    public function __construct(public array $points, public float $lengthMetres)
    {
    }

    /**
     * Straight lines through the points.
     *
     * @param  non-empty-list<Point>  $points
     */
    public static function through(array $points): self
    {
        $length = 0.0;
        foreach (array_slice($points, 1) as $i => $point) {
            $length += $points[$i]->distanceMetres($point);
        }

        return new self($points, $length);
    }
}
