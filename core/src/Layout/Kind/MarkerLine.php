<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\HoldsNumbers;
use FleetSparrow\Core\Layout\Label;
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
 * Markers in a row at one spacing: to weave through, to step over, to roll along. The way is (n − 1)·spacing.
 *
 * Example: `MarkerLine::of(6, Length::ofMetres(1.5))->ballPath()->lengthMetres` is `7.5`.
 */
final readonly class MarkerLine implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public const KIND = 'line';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(int $markers, Length $spacing): self
    {
        self::held('markers', $markers);
        Limits::length('spacing', $spacing);

        return new self(['markers' => $markers, 'spacing' => $spacing->tenthsOfMillimetre], self::sketch($markers, $spacing));
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->whole('markers'), $fields->length('spacing'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::whole('markers', 'Markers', 2, 60),
            LayoutParameter::length('spacing', 'Spacing'),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(int $markers, Length $spacing): Sketch
    {
        $points = array_map(fn (int $i): Point => new Point($i * $spacing->metres(), 0.0), range(0, $markers - 1));

        return new Sketch(
            array_map(fn (Point $at): Marker => Marker::white($at->xMetres, $at->yMetres), $points),
            Limits::millimetres(($markers - 1) * $spacing->metres()),
            0,
            new BallPath($points, ($markers - 1) * $spacing->metres()),
            timesAlongPath: $markers - 1,
            dimensions: [
                new DimensionLine($points[0], $points[1], $spacing),
                new DimensionLine($points[0], $points[$markers - 1], Length::ofMetres(($markers - 1) * $spacing->metres())),
            ],
            labels: [new Label($points[0], 'start')],
            places: [new Place($points[0], PlaceRole::Worker)],
            balls: [$points[0]],
        );
    }
}
