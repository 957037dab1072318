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
use FleetSparrow\Core\Layout\OneWorkerOneBall;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Shared\Length;

/** Four markers in a rectangle; inside it the ball goes where the player takes it. */
final readonly class Box implements Layout
{
    use OneWorkerOneBall;

    public const KIND = 'box';

    private function __construct(private Length $width, private Length $depth)
    {
    }

    /** @throws InvalidLayout If a side is outside 0.1 to 120 m. */
    public static function of(Length $width, Length $depth): self
    {
        return new self(Limits::length('width', $width), Limits::length('depth', $depth));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('width', 'Width'),
            LayoutParameter::length('depth', 'Depth'),
        ];
    }

    public static function fromFields(LayoutFields $read): self
    {
        return self::of($read->length('width'), $read->length('depth'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function parameters(): array
    {
        return ['width' => $this->width->tenthsOfMillimetre, 'depth' => $this->depth->tenthsOfMillimetre];
    }

    public function markers(): array
    {
        [$w, $d] = [$this->width->metres(), $this->depth->metres()];

        return array_map(
            static fn (Point $at): Marker => new Marker($at, 'white', MarkerShape::Triangle),
            [new Point(0.0, 0.0), new Point($w, 0.0), new Point($w, $d), new Point(0.0, $d)],
        );
    }

    public function ballPath(): ?BallPath
    {
        return null;
    }

    public function timesAlongPath(): int
    {
        return 1;
    }

    public function footprint(): Footprint
    {
        return new Footprint(
            Limits::millimetres($this->width->metres()),
            Limits::millimetres($this->depth->metres()),
            Limits::CLEARANCE_MILLIMETRES,
        );
    }

    public function dimensions(): array
    {
        [$w, $d] = [$this->width->metres(), $this->depth->metres()];

        return [
            new DimensionLine(new Point(0.0, 0.0), new Point($w, 0.0), $this->width),
            new DimensionLine(new Point($w, 0.0), new Point($w, $d), $this->depth),
        ];
    }

    public function labels(): array
    {
        return [];
    }
}
