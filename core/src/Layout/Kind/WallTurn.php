<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\Equipment;
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
use FleetSparrow\Core\Layout\WallLine;
use FleetSparrow\Core\Shared\Length;

/**
 * A wall in front and a line behind: pass, receive, turn, and out over the line. The way is twice to the wall and once to the line.
 *
 * Example: `WallTurn::of(Length::ofMetres(2.0), Length::ofMetres(5.0), Length::ofMetres(4.0))->ballPath()->lengthMetres` is `14.0`.
 */
final readonly class WallTurn implements Layout
{
    use Sketched;

    public const KIND = 'wall-turn';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(Length $width, Length $wall, Length $turnLine): self
    {
        Limits::length('width', $width);
        Limits::length('distance to the wall', $wall);
        Limits::length('distance to the turn line', $turnLine);

        return new self(
            ['width' => $width->tenthsOfMillimetre, 'wall' => $wall->tenthsOfMillimetre, 'turnLine' => $turnLine->tenthsOfMillimetre],
            self::sketch($width, $wall, $turnLine),
        );
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->length('width'), $fields->length('wall'), $fields->length('turnLine'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('width', 'Width'),
            LayoutParameter::length('wall', 'To the wall'),
            LayoutParameter::length('turnLine', 'Turn line behind'),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $width, Length $wall, Length $turnLine): Sketch
    {
        [$w, $d, $t] = [$width->metres(), $wall->metres(), $turnLine->metres()];
        $player = new Point($w / 2, -$d);

        return new Sketch(
            [Marker::white(0.0, -$d), Marker::white($w, -$d), Marker::blue(0.0, -$d - $t), Marker::blue($w, -$d - $t)],
            Limits::millimetres($w),
            Limits::millimetres($d + $t),
            BallPath::through([$player, new Point($w / 2, 0.0), $player, new Point($w / 2, -$d - $t)]),
            dimensions: [
                new DimensionLine(new Point($w, -$d), new Point($w, 0.0), $wall),
                new DimensionLine(new Point($w, -$d - $t), new Point($w, -$d), $turnLine),
            ],
            labels: [new Label(new Point($w / 2, 0.0), 'wall'), new Label($player, 'start')],
            places: [new Place($player, PlaceRole::Worker)],
            balls: [$player],
            equipment: [Equipment::Wall->value => 1],
            walls: [new WallLine(new Point(-0.5, 0.0), new Point($w + 0.5, 0.0))],
        );
    }
}
