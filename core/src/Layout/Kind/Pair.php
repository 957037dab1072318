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
 * Two markers and two players, one at each; the ball goes between them.
 *
 * Example: `Pair::of(Length::ofMetres(5.0))->ballPath()->lengthMetres` is `5.0`.
 */
final readonly class Pair implements Layout
{
    use Sketched;

    public const KIND = 'pair';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(Length $distance): self
    {
        Limits::length('distance', $distance);

        return new self(['distance' => $distance->tenthsOfMillimetre], self::sketch($distance));
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->length('distance'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('distance', 'Distance'),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $distance): Sketch
    {
        $ends = [new Point(0.0, 0.0), new Point($distance->metres(), 0.0)];

        return new Sketch(
            [Marker::white(0.0, 0.0), Marker::blue($ends[1]->xMetres, 0.0)],
            Limits::millimetres($distance->metres()),
            0,
            BallPath::through($ends),
            dimensions: [new DimensionLine($ends[0], $ends[1], $distance)],
            places: [new Place($ends[0], PlaceRole::Worker), new Place($ends[1], PlaceRole::Server)],
            balls: [$ends[0]],
        );
    }
}
