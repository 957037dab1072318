<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
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
 * A field for a small game: four corners, and at each end one or two goals of markers.
 */
final readonly class SmallField implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public const KIND = 'small-field';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(Length $width, Length $depth, Length $goalWidth, int $goalsPerEnd): self
    {
        Limits::length('width', $width);
        Limits::length('depth', $depth);
        Limits::length('goal width', $goalWidth);
        self::held('goalsPerEnd', $goalsPerEnd);

        return new self(
            [
                'width' => $width->tenthsOfMillimetre,
                'depth' => $depth->tenthsOfMillimetre,
                'goalWidth' => $goalWidth->tenthsOfMillimetre,
                'goalsPerEnd' => $goalsPerEnd,
            ],
            self::sketch($width, $depth, $goalWidth, $goalsPerEnd),
        );
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->length('width'), $fields->length('depth'), $fields->length('goalWidth'), $fields->whole('goalsPerEnd'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('width', 'Width'),
            LayoutParameter::length('depth', 'Depth'),
            LayoutParameter::length('goalWidth', 'Goal'),
            LayoutParameter::whole('goalsPerEnd', 'Goals at each end', 1, 2),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $width, Length $depth, Length $goalWidth, int $goalsPerEnd): Sketch
    {
        [$w, $d, $g] = [$width->metres(), $depth->metres(), $goalWidth->metres()];
        if ($goalsPerEnd * $g > $d) {
            throw InvalidLayout::at('layout.goals', 'The goals are wider than the end of the field they stand on.');
        }
        $markers = array_map(fn (array $at): Marker => Marker::white($at[0], $at[1]), [[0.0, 0.0], [$w, 0.0], [$w, $d], [0.0, $d]]);
        foreach ([0.0, $w] as $x) {
            foreach (range(1, $goalsPerEnd) as $number) {
                $middle = $number * $d / ($goalsPerEnd + 1);
                $markers[] = Marker::blue($x, $middle - $g / 2);
                $markers[] = Marker::blue($x, $middle + $g / 2);
            }
        }

        return new Sketch(
            $markers,
            Limits::millimetres($w),
            Limits::millimetres($d),
            dimensions: [
                new DimensionLine(new Point(0.0, 0.0), new Point($w, 0.0), $width),
                new DimensionLine(new Point($w, 0.0), new Point($w, $d), $depth),
            ],
            places: [new Place(new Point($w / 2, $d / 2), PlaceRole::Worker)],
            balls: [new Point($w / 2, $d / 2)],
        );
    }
}
