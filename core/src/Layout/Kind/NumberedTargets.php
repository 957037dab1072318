<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\Equipment;
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
 * A start triangle and numbered targets on an arc before it, each as far away. The way is that distance.
 *
 * Example: `NumberedTargets::of(3, Length::ofMetres(10.0), 60, 6)->ballPath()->lengthMetres` is `10.0`.
 */
final readonly class NumberedTargets implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public const KIND = 'targets';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(int $targets, Length $distance, int $spreadDegrees, int $balls): self
    {
        self::held('targets', $targets);
        Limits::length('distance', $distance);
        self::held('spreadDegrees', $spreadDegrees);
        self::held('balls', $balls);

        return new self(
            ['targets' => $targets, 'distance' => $distance->tenthsOfMillimetre, 'spreadDegrees' => $spreadDegrees, 'balls' => $balls],
            self::sketch($targets, $distance, $spreadDegrees, $balls),
        );
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->whole('targets'), $fields->length('distance'), $fields->whole('spreadDegrees'), $fields->whole('balls'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::whole('targets', 'Targets', 1, 9),
            LayoutParameter::length('distance', 'Distance'),
            LayoutParameter::whole('spreadDegrees', 'Spread, degrees', 0, 150),
            LayoutParameter::whole('balls', 'Balls', 1, 12),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(int $targets, Length $distance, int $spreadDegrees, int $balls): Sketch
    {
        $d = $distance->metres();
        $half = deg2rad($spreadDegrees / 2);
        // The leftmost of the arc, or of the start triangle, stands at the origin.
        $start = new Point(max(0.5, $d * sin($half)), 0.0);
        $marks = [
            Marker::white($start->xMetres - 0.5, 0.0),
            Marker::white($start->xMetres + 0.5, 0.0),
            Marker::white($start->xMetres, 0.8),
        ];
        $aims = [];
        $labels = [];
        foreach (range(1, $targets) as $number) {
            $turn = $targets === 1 ? 0.0 : $half - ($number - 1) * 2 * $half / ($targets - 1);
            $aims[] = $start->toward(M_PI_2 + $turn, $d);
            $labels[] = new Label($aims[$number - 1], (string) $number);
        }

        return new Sketch(
            $marks,
            Limits::millimetres(2 * $start->xMetres),
            Limits::millimetres(max(0.8, $d)),
            BallPath::through([$start, $aims[0]]),
            dimensions: [new DimensionLine($start, $aims[0], $distance)],
            labels: $labels,
            places: [new Place($start, PlaceRole::Worker)],
            balls: array_fill(0, $balls, $start),
            equipment: [Equipment::Target->value => $targets],
        );
    }
}
