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
use FleetSparrow\Core\Layout\MarkerShape;
use FleetSparrow\Core\Layout\Place;
use FleetSparrow\Core\Layout\PlaceRole;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Layout\Sketch;
use FleetSparrow\Core\Layout\Sketched;
use FleetSparrow\Core\Shared\Length;

/**
 * One marker stands for a defender: up to it, past it, and away at an angle. The way is approach and exit.
 *
 * Example: `MarkerDefender::of(Length::ofMetres(4.0), Length::ofMetres(3.0), 30)->ballPath()->lengthMetres` is `7.0`.
 */
final readonly class MarkerDefender implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public const KIND = 'defender';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(Length $approach, Length $exit, int $angleDegrees): self
    {
        Limits::length('approach', $approach);
        Limits::length('exit', $exit);
        self::held('angleDegrees', $angleDegrees);

        return new self(
            ['approach' => $approach->tenthsOfMillimetre, 'exit' => $exit->tenthsOfMillimetre, 'angleDegrees' => $angleDegrees],
            self::sketch($approach, $exit, $angleDegrees),
        );
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->length('approach'), $fields->length('exit'), $fields->whole('angleDegrees'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('approach', 'Up to the marker'),
            LayoutParameter::length('exit', 'Past it'),
            LayoutParameter::whole('angleDegrees', 'Way out, degrees', 0, 90),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $approach, Length $exit, int $angleDegrees): Sketch
    {
        $start = new Point(0.0, 0.0);
        $marker = new Point($approach->metres(), 0.0);
        $end = $marker->toward(deg2rad($angleDegrees), $exit->metres());

        return new Sketch(
            [Marker::white(0.0, 0.0), new Marker($marker, 'red', MarkerShape::Ring), Marker::blue($end->xMetres, $end->yMetres)],
            Limits::millimetres($end->xMetres),
            Limits::millimetres($end->yMetres),
            BallPath::through([$start, $marker, $end]),
            dimensions: [new DimensionLine($start, $marker, $approach), new DimensionLine($marker, $end, $exit)],
            labels: [new Label($start, 'start'), new Label($marker, 'defender')],
            places: [new Place($start, PlaceRole::Worker)],
            balls: [$start],
        );
    }
}
