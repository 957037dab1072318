<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
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
 * A straight lane with two ends; the ball goes from one end to the other.
 *
 * Example: `Lane::of(Length::ofMetres(2.0), Length::ofMetres(9.0))->ballPath()->lengthMetres` is `9.0`.
 */
final readonly class Lane implements Layout
{
    use Sketched;

    public const KIND = 'lane';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(Length $width, Length $length): self
    {
        Limits::length('lane width', $width);
        Limits::length('lane length', $length);

        return new self(['width' => $width->tenthsOfMillimetre, 'length' => $length->tenthsOfMillimetre], self::sketch($width, $length));
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->length('width'), $fields->length('length'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('width', 'Width'),
            LayoutParameter::length('length', 'Length'),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $width, Length $length): Sketch
    {
        [$w, $l] = [$width->metres(), $length->metres()];
        $path = BallPath::through([new Point(0.0, $w / 2), new Point($l, $w / 2)]);

        return new Sketch(
            [Marker::white(0.0, 0.0), Marker::white(0.0, $w), Marker::blue($l, 0.0), Marker::blue($l, $w)],
            Limits::millimetres($l),
            Limits::millimetres($w),
            $path,
            dimensions: [
                new DimensionLine(new Point(0.0, 0.0), new Point($l, 0.0), $length),
                new DimensionLine(new Point($l, 0.0), new Point($l, $w), $width),
            ],
            places: [new Place($path->points[0], PlaceRole::Worker)],
            balls: [$path->points[0]],
        );
    }
}
