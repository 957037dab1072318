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
 * Markers strewn over an area, the same for the same seed; inside it the ball goes where the player takes it.
 *
 * Each marker stands somewhere in a cell of its own, so no two stand on each other.
 */
final readonly class Scatter implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public const KIND = 'scatter';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(int $markers, Length $width, Length $depth, int $seed): self
    {
        self::held('markers', $markers);
        Limits::length('width', $width);
        Limits::length('depth', $depth);
        self::held('seed', $seed);

        return new self(
            ['markers' => $markers, 'width' => $width->tenthsOfMillimetre, 'depth' => $depth->tenthsOfMillimetre, 'seed' => $seed],
            self::sketch($markers, $width, $depth, $seed),
        );
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->whole('markers'), $fields->length('width'), $fields->length('depth'), $fields->whole('seed'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::whole('markers', 'Markers', 2, 60),
            LayoutParameter::length('width', 'Width'),
            LayoutParameter::length('depth', 'Depth'),
            LayoutParameter::whole('seed', 'Another way to strew them', 0, 999999),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(int $markers, Length $width, Length $depth, int $seed): Sketch
    {
        $columns = (int) ceil(sqrt($markers));
        $rows = (int) ceil($markers / $columns);
        [$cellWidth, $cellDepth] = [$width->metres() / $columns, $depth->metres() / $rows];
        $state = $seed;
        $laid = [];
        for ($i = 0; $i < $markers; $i++) {
            // From a tenth to nine tenths of the cell.
            $shift = [];
            foreach ([0, 1] as $axis) {
                // A linear congruential step (Park and Miller 1988): enough to strew markers, and the same everywhere.
                $state = (16807 * ($state + 1)) % 2147483647;
                $shift[$axis] = 0.1 + 0.8 * $state / 2147483647;
            }
            $laid[] = Marker::white(($i % $columns + $shift[0]) * $cellWidth, (intdiv($i, $columns) + $shift[1]) * $cellDepth);
        }
        $corner = new Point($width->metres(), 0.0);

        return new Sketch(
            $laid,
            Limits::millimetres($width->metres()),
            Limits::millimetres($depth->metres()),
            dimensions: [
                new DimensionLine(new Point(0.0, 0.0), $corner, $width),
                new DimensionLine($corner, new Point($width->metres(), $depth->metres()), $depth),
            ],
            places: [new Place(new Point($width->metres() / 2, $depth->metres() / 2), PlaceRole::Worker)],
            balls: [new Point($width->metres() / 2, $depth->metres() / 2)],
        );
    }
}
