<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\Footprint;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\LayoutFields;
use FleetSparrow\Core\Layout\LayoutParameter;
use FleetSparrow\Core\Layout\Limits;
use FleetSparrow\Core\Layout\Marker;
use FleetSparrow\Core\Layout\MarkerShape;
use FleetSparrow\Core\Layout\Place;
use FleetSparrow\Core\Layout\PlaceRole;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Shared\Length;

/** Two gates facing each other; the ball goes from the middle of one to the middle of the other. */
final readonly class Gates implements Layout
{
    public const KIND = 'gates';

    private function __construct(private Length $gateWidth, private Length $distance)
    {
    }

    /** @throws InvalidLayout If a length is outside 0.1 to 120 m. */
    public static function of(Length $gateWidth, Length $distance): self
    {
        return new self(Limits::length('gate width', $gateWidth), Limits::length('distance', $distance));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('gateWidth', 'Gate'),
            LayoutParameter::length('distance', 'Distance'),
        ];
    }

    public static function fromFields(LayoutFields $read): self
    {
        return self::of($read->length('gateWidth'), $read->length('distance'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function forPeople(int $people): self
    {
        return $this;
    }

    public function parameters(): array
    {
        return ['gateWidth' => $this->gateWidth->tenthsOfMillimetre, 'distance' => $this->distance->tenthsOfMillimetre];
    }

    public function markers(): array
    {
        [$g, $d] = [$this->gateWidth->metres(), $this->distance->metres()];

        return [
            new Marker(new Point(0.0, 0.0), 'white', MarkerShape::Triangle),
            new Marker(new Point(0.0, $g), 'white', MarkerShape::Triangle),
            new Marker(new Point($d, 0.0), 'blue', MarkerShape::Square),
            new Marker(new Point($d, $g), 'blue', MarkerShape::Square),
        ];
    }

    public function ballPath(): BallPath
    {
        $middle = $this->gateWidth->metres() / 2;

        return BallPath::through([new Point(0.0, $middle), new Point($this->distance->metres(), $middle)]);
    }

    public function timesAlongPath(): int
    {
        return 1;
    }

    public function footprint(): Footprint
    {
        return new Footprint(
            Limits::millimetres($this->distance->metres()),
            Limits::millimetres($this->gateWidth->metres()),
            Limits::CLEARANCE_MILLIMETRES,
        );
    }

    public function dimensions(): array
    {
        [$g, $d] = [$this->gateWidth->metres(), $this->distance->metres()];

        return [
            new DimensionLine(new Point(0.0, 0.0), new Point($d, 0.0), $this->distance),
            new DimensionLine(new Point($d, 0.0), new Point($d, $g), $this->gateWidth),
        ];
    }

    public function labels(): array
    {
        return [];
    }

    public function runPath(): ?BallPath
    {
        return null;
    }

    public function places(): array
    {
        $middle = $this->gateWidth->metres() / 2;

        return [
            new Place(new Point(0.0, $middle), PlaceRole::Worker),
            new Place(new Point($this->distance->metres(), $middle), PlaceRole::Worker),
        ];
    }

    public function balls(): array
    {
        return [new Point(0.0, $this->gateWidth->metres() / 2)];
    }

    public function walls(): array
    {
        return [];
    }

    public function equipment(): array
    {
        return [];
    }
}
