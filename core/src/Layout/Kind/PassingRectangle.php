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
 * A player at each corner and the ball from one to the next: round the outside (0), straight and diagonal in turn (1), or straight and
 * two diagonals by way of a player in the middle (2), in either direction. Round is 2·(w + d); each of the others is
 * 2·w + 2·√(w² + d²).
 *
 * Example: `PassingRectangle::of(Length::ofMetres(8.0), Length::ofMetres(6.0), 1, 0, 2, 1)->ballPath()->lengthMetres` is `36.0`.
 */
final readonly class PassingRectangle implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public const KIND = 'passing-rectangle';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(Length $width, Length $depth, int $order, int $clockwise, int $perCorner, int $balls): self
    {
        Limits::length('width', $width);
        Limits::length('depth', $depth);
        self::held('order', $order);
        self::held('clockwise', $clockwise);
        self::held('perCorner', $perCorner);
        self::held('balls', $balls);

        return new self(
            [
                'width' => $width->tenthsOfMillimetre,
                'depth' => $depth->tenthsOfMillimetre,
                'order' => $order,
                'clockwise' => $clockwise,
                'perCorner' => $perCorner,
                'balls' => $balls,
            ],
            self::sketch($width, $depth, $order, $clockwise, $perCorner, $balls),
        );
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of(
            $fields->length('width'),
            $fields->length('depth'),
            $fields->whole('order'),
            $fields->whole('clockwise'),
            $fields->whole('perCorner'),
            $fields->whole('balls'),
        );
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('width', 'Width'),
            LayoutParameter::length('depth', 'Depth'),
            LayoutParameter::whole('order', 'Order: 0 round, 1 straight and diagonal, 2 straight and two diagonals', 0, 2),
            LayoutParameter::whole('clockwise', 'Other way round', 0, 1),
            LayoutParameter::whole('perCorner', 'Players at a corner', 1, 5),
            LayoutParameter::whole('balls', 'Balls', 1, 2),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $width, Length $depth, int $order, int $clockwise, int $perCorner, int $balls): Sketch
    {
        [$w, $d] = [$width->metres(), $depth->metres()];
        $corners = [new Point(0.0, 0.0), new Point($w, 0.0), new Point($w, $d), new Point(0.0, $d)];
        $middle = new Point($w / 2.0, $d / 2.0);
        [$first, $second, $third, $fourth] = $corners;
        $turns = match ($order) {
            0 => [$first, $second, $third, $fourth, $first],
            1 => [$first, $second, $fourth, $third, $first],
            default => [$first, $second, $middle, $third, $fourth, $middle, $first],
        };
        $stations = $order === 2 ? [...$corners, $middle] : $corners;
        $way = $clockwise === 0 ? $turns : array_reverse($turns);
        $places = [];
        foreach ($stations as $at) {
            foreach (range(1, $perCorner) as $inLine) {
                $places[] = new Place($at, $inLine === 1 ? PlaceRole::Worker : PlaceRole::Queue);
            }
        }

        return new Sketch(
            array_map(fn (Point $at): Marker => Marker::white($at->xMetres, $at->yMetres), $stations),
            Limits::millimetres($w),
            Limits::millimetres($d),
            BallPath::through($way),
            // Pass and follow: the worker runs where the first pass went.
            BallPath::through([$way[0], $way[1]]),
            dimensions: [new DimensionLine($corners[0], $corners[1], $width), new DimensionLine($corners[1], $corners[2], $depth)],
            labels: [new Label($corners[0], 'start')],
            places: $places,
            // A second ball begins at the opposite corner, so that neither catches up.
            balls: $balls === 1 ? [$way[0]] : [$way[0], $way[2]],
        );
    }
}
