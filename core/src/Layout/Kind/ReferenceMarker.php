<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
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
 * One marker, and the ball worked from one side of it to the other and back; a server may stand in front.
 *
 * Example: `ReferenceMarker::of(Length::ofMetres(1.0), 0)->ballPath()->lengthMetres` is `4.0`.
 */
final readonly class ReferenceMarker implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public const KIND = 'reference';

    /** @throws InvalidLayout If a length or a number cannot be laid. */
    public static function of(Length $reach, int $serverMetres): self
    {
        Limits::length('reach to each side', $reach);
        self::held('serverMetres', $serverMetres);

        return new self(['reach' => $reach->tenthsOfMillimetre, 'serverMetres' => $serverMetres], self::sketch($reach, $serverMetres));
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->length('reach'), $fields->whole('serverMetres'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('reach', 'To each side'),
            LayoutParameter::whole('serverMetres', 'Server, metres away (0 none)', 0, 40),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $reach, int $serverMetres): Sketch
    {
        $marker = new Point($reach->metres(), 0.0);
        $player = new Point($reach->metres(), -0.5);
        $far = new Point(2 * $reach->metres(), 0.0);
        $server = $serverMetres === 0 ? [] : [new Place(new Point($reach->metres(), (float) $serverMetres), PlaceRole::Server)];

        return new Sketch(
            [Marker::white($marker->xMetres, $marker->yMetres)],
            Limits::millimetres(2 * $reach->metres()),
            Limits::millimetres(0.5 + $serverMetres),
            BallPath::through([new Point(0.0, 0.0), $far, new Point(0.0, 0.0)]),
            dimensions: [new DimensionLine($marker, $far, $reach)],
            places: [new Place($player, PlaceRole::Worker), ...$server],
            balls: [$server === [] ? new Point(0.0, 0.0) : $server[0]->at],
        );
    }
}
