<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\HoldsNumbers;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\LayoutFields;
use FleetSparrow\Core\Layout\LayoutParameter;
use FleetSparrow\Core\Layout\Limits;
use FleetSparrow\Core\Layout\Marker;
use FleetSparrow\Core\Layout\Place;
use FleetSparrow\Core\Layout\PlaceRole;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Layout\Sketch;
use FleetSparrow\Core\Layout\Sketched;
use FleetSparrow\Core\Shared\Length;

/**
 * Two lines of players facing each other; who passes runs after the ball to the end of the other line.
 *
 * Example: `FacingLines::of(Length::ofMetres(8.0), 3)->ballPath()->lengthMetres` is `8.0`.
 */
final readonly class FacingLines implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public const KIND = 'facing-lines';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(Length $distance, int $perLine): self
    {
        Limits::length('distance', $distance);
        self::held('perLine', $perLine);

        return new self(['distance' => $distance->tenthsOfMillimetre, 'perLine' => $perLine], self::sketch($distance, $perLine));
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->length('distance'), $fields->whole('perLine'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('distance', 'Distance'),
            LayoutParameter::whole('perLine', 'Players in a line', 1, 10),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $distance, int $perLine): Sketch
    {
        $d = $distance->metres();
        $places = [];
        foreach (range(0, $perLine - 1) as $back) {
            $role = $back === 0 ? PlaceRole::Worker : PlaceRole::Queue;
            $places[] = new Place(new Point(-1.0 * $back, 0.0), $role);
            $places[] = new Place(new Point($d + 1.0 * $back, 0.0), $role);
        }
        $across = BallPath::through([new Point(0.0, 0.0), new Point($d, 0.0)]);

        return new Sketch(
            [Marker::white(0.0, 0.0), Marker::blue($d, 0.0)],
            // A metre for each who waits behind.
            Limits::millimetres($d + 2.0 * ($perLine - 1)),
            0,
            $across,
            $across,
            dimensions: [new DimensionLine(new Point(0.0, 0.0), new Point($d, 0.0), $distance)],
            places: $places,
            balls: [new Point(0.0, 0.0)],
        );
    }
}
