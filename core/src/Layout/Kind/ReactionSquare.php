<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
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
use FleetSparrow\Core\Shared\Length;

/**
 * Four coloured corners round a middle; a call names one. Out and back is √2·side.
 *
 * Example: `round(ReactionSquare::of(Length::ofMetres(5.0))->ballPath()->lengthMetres, 4)` is `7.0711`.
 */
final readonly class ReactionSquare implements Layout
{
    use Sketched;

    public const KIND = 'reaction-square';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(Length $side): self
    {
        Limits::length('side', $side);

        return new self(['side' => $side->tenthsOfMillimetre], self::sketch($side));
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->length('side'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('side', 'Side'),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $side): Sketch
    {
        $s = $side->metres();
        $middle = new Point($s / 2, $s / 2);

        return new Sketch(
            [
                new Marker(new Point(0.0, 0.0), 'red', MarkerShape::Triangle),
                new Marker(new Point($s, 0.0), 'blue', MarkerShape::Square),
                new Marker(new Point($s, $s), 'yellow', MarkerShape::Ring),
                new Marker(new Point(0.0, $s), 'white', MarkerShape::Triangle),
            ],
            Limits::millimetres($s),
            Limits::millimetres($s),
            BallPath::through([$middle, new Point(0.0, 0.0), $middle]),
            dimensions: [new DimensionLine(new Point(0.0, 0.0), new Point($s, 0.0), $side)],
            labels: [
                new Label(new Point(0.0, 0.0), '1'),
                new Label(new Point($s, 0.0), '2'),
                new Label(new Point($s, $s), '3'),
                new Label(new Point(0.0, $s), '4'),
            ],
            places: [new Place($middle, PlaceRole::Worker), new Place(new Point(-1.0, $s / 2), PlaceRole::Caller)],
            balls: [$middle],
        );
    }
}
