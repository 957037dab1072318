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
 * Balls in a row before a goal, struck from the outside in, sides in turn: the worker goes spacing·n·(n − 1) ÷ 2 from ball to
 * ball.
 *
 * Example: `ShootingLine::of(6, Length::ofMetres(1.0), Length::ofMetres(9.0), Length::ofMetres(4.0))->runPath()->lengthMetres` is `15.0`.
 */
final readonly class ShootingLine implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public const KIND = 'shooting-line';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(int $ballCount, Length $spacing, Length $distance, Length $goalWidth): self
    {
        self::held('ballCount', $ballCount);
        Limits::length('spacing', $spacing);
        Limits::length('distance to the goal', $distance);
        Limits::length('goal width', $goalWidth);

        return new self(
            [
                'ballCount' => $ballCount,
                'spacing' => $spacing->tenthsOfMillimetre,
                'distance' => $distance->tenthsOfMillimetre,
                'goalWidth' => $goalWidth->tenthsOfMillimetre,
            ],
            self::sketch($ballCount, $spacing, $distance, $goalWidth),
        );
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->whole('ballCount'), $fields->length('spacing'), $fields->length('distance'), $fields->length('goalWidth'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::whole('ballCount', 'Balls', 2, 12),
            LayoutParameter::length('spacing', 'Spacing'),
            LayoutParameter::length('distance', 'To the goal'),
            LayoutParameter::length('goalWidth', 'Goal'),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(int $ballCount, Length $spacing, Length $distance, Length $goalWidth): Sketch
    {
        $s = $spacing->metres();
        $middle = max(($ballCount - 1) * $s, $goalWidth->metres()) / 2;
        $first = $middle - ($ballCount - 1) * $s / 2;
        $balls = array_map(fn (int $i): Point => new Point($first + $i * $s, 0.0), range(0, $ballCount - 1));
        $order = [];
        foreach (range(0, $ballCount - 1) as $turn) {
            $order[] = $balls[$turn % 2 === 0 ? intdiv($turn, 2) : $ballCount - 1 - intdiv($turn, 2)];
        }
        $goal = new Point($middle, $distance->metres());

        return new Sketch(
            [
                Marker::blue($middle - $goalWidth->metres() / 2, $distance->metres()),
                Marker::blue($middle + $goalWidth->metres() / 2, $distance->metres()),
            ],
            Limits::millimetres(2 * $middle),
            Limits::millimetres($distance->metres()),
            BallPath::through([$order[0], $goal]),
            BallPath::through($order),
            timesAlongPath: $ballCount,
            dimensions: [new DimensionLine($balls[0], $balls[1], $spacing), new DimensionLine(new Point($middle, 0.0), $goal, $distance)],
            labels: array_map(fn (int $turn, Point $at): Label => new Label($at, (string) ($turn + 1)), array_keys($order), $order),
            places: [
                new Place(new Point($order[0]->xMetres, -1.0), PlaceRole::Worker),
                new Place(new Point($middle, $distance->metres() + 0.8), PlaceRole::Keeper),
            ],
            balls: $balls,
            equipment: [Equipment::Goal->value => 1],
        );
    }
}
