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
 * Passers in two staggered rows up the field, and a shot at the end: (n − 1)·√(spacing² + offset²) + shot. Back by the lane
 * beside it, (n − 1)·spacing.
 *
 * Example: `PatternToGoal::of(3, Length::ofMetres(8.0), Length::ofMetres(6.0), Length::ofMetres(12.0))->ballPath()->lengthMetres` is
 * `32.0`.
 */
final readonly class PatternToGoal implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public const KIND = 'pattern-to-goal';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(int $passers, Length $spacing, Length $offset, Length $shot): self
    {
        self::held('passers', $passers);
        Limits::length('spacing', $spacing);
        Limits::length('offset of the rows', $offset);
        Limits::length('distance of the shot', $shot);

        return new self(
            [
                'passers' => $passers,
                'spacing' => $spacing->tenthsOfMillimetre,
                'offset' => $offset->tenthsOfMillimetre,
                'shot' => $shot->tenthsOfMillimetre,
            ],
            self::sketch($passers, $spacing, $offset, $shot),
        );
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->whole('passers'), $fields->length('spacing'), $fields->length('offset'), $fields->length('shot'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::whole('passers', 'Passers', 2, 8),
            LayoutParameter::length('spacing', 'Spacing'),
            LayoutParameter::length('offset', 'Between the rows'),
            LayoutParameter::length('shot', 'Shot from'),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(int $passers, Length $spacing, Length $offset, Length $shot): Sketch
    {
        $points = array_map(
            fn (int $i): Point => new Point($i % 2 === 0 ? 0.0 : $offset->metres(), $i * $spacing->metres()),
            range(0, $passers - 1),
        );
        $last = $points[$passers - 1];
        $goal = new Point($last->xMetres, $last->yMetres + $shot->metres());
        $lane = $offset->metres() + 2.0;

        return new Sketch(
            array_map(
                fn (int $i, Point $at): Marker => $i % 2 === 0 ? Marker::white(
                    $at->xMetres,
                    $at->yMetres,
                ) : Marker::blue($at->xMetres, $at->yMetres),
                array_keys($points),
                $points,
            ),
            Limits::millimetres($lane),
            Limits::millimetres($goal->yMetres),
            BallPath::through([...$points, $goal]),
            BallPath::through([new Point($lane, $last->yMetres), new Point($lane, 0.0)]),
            dimensions: [
                new DimensionLine(new Point(0.0, 0.0), new Point(0.0, $spacing->metres()), $spacing),
                new DimensionLine($last, $goal, $shot),
            ],
            labels: [new Label($points[0], 'start'), new Label($goal, 'goal')],
            places: [
                new Place($points[0], PlaceRole::Worker),
                ...array_map(fn (Point $at): Place => new Place($at, PlaceRole::Server), array_slice($points, 1)),
                new Place(new Point(0.0, -1.0), PlaceRole::Queue),
            ],
            balls: [$points[0]],
            equipment: [Equipment::Goal->value => 1],
        );
    }
}
