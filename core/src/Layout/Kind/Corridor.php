<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\Equipment;
use FleetSparrow\Core\Layout\Label;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\LayoutFields;
use FleetSparrow\Core\Layout\LayoutParameter;
use FleetSparrow\Core\Layout\Limits;
use FleetSparrow\Core\Layout\Marker;
use FleetSparrow\Core\Layout\MarkerShape;
use FleetSparrow\Core\Layout\Place;
use FleetSparrow\Core\Layout\PlaceRole;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Layout\Sketch;
use FleetSparrow\Core\Layout\Sketched;
use FleetSparrow\Core\Layout\WallLine;
use FleetSparrow\Core\Shared\Length;

/**
 * Between two walls: off one, turn, off the other. One round is twice the way between them.
 *
 * Example: `Corridor::of(Length::ofMetres(6.0))->ballPath()->lengthMetres` is `12.0`.
 */
final readonly class Corridor implements Layout
{
    use Sketched;

    public const KIND = 'corridor';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(Length $distance): self
    {
        Limits::length('distance between the walls', $distance);

        return new self(['distance' => $distance->tenthsOfMillimetre], self::sketch($distance));
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->length('distance'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('distance', 'Between the walls'),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $distance): Sketch
    {
        $d = $distance->metres();
        $middle = new Point($d / 2, 0.0);

        return new Sketch(
            [new Marker($middle, 'white', MarkerShape::Ring)],
            Limits::millimetres($d),
            0,
            BallPath::through([$middle, new Point($d, 0.0), $middle, new Point(0.0, 0.0), $middle]),
            dimensions: [new DimensionLine(new Point(0.0, 0.0), new Point($d, 0.0), $distance)],
            labels: [new Label(new Point(0.0, 1.0), 'wall'), new Label(new Point($d, 1.0), 'wall')],
            places: [new Place($middle, PlaceRole::Worker)],
            balls: [$middle],
            equipment: [Equipment::Wall->value => 2],
            walls: [new WallLine(new Point(0.0, -1.0), new Point(0.0, 1.0)), new WallLine(new Point($d, -1.0), new Point($d, 1.0))],
        );
    }
}
