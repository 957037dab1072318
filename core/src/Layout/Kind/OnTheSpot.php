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
use FleetSparrow\Core\Layout\OneWorkerOneBall;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Shared\Length;

/**
 * A ball each, so far apart that nobody touches the next one: nothing is laid out.
 *
 * Example: `count(OnTheSpot::of(Length::ofMetres(1.5))->markers())` is `0`.
 */
final readonly class OnTheSpot implements Layout
{
    use OneWorkerOneBall;

    public const KIND = 'on-the-spot';

    private function __construct(private Length $apart)
    {
    }

    /** @throws InvalidLayout If the length is outside 0.1 to 120 m. */
    public static function of(Length $apart): self
    {
        return new self(Limits::length('room between two players', $apart));
    }

    public static function chosen(): array
    {
        return [LayoutParameter::length('apart', 'Apart')];
    }

    public static function fromFields(LayoutFields $read): self
    {
        return self::of($read->length('apart'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function parameters(): array
    {
        return ['apart' => $this->apart->tenthsOfMillimetre];
    }

    public function markers(): array
    {
        return [];
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
        $side = Limits::millimetres($this->apart->metres());

        // The room between two is in it already.
        return new Footprint($side, $side, 0);
    }

    public function dimensions(): array
    {
        return [new DimensionLine(new Point(0.0, 0.0), new Point($this->apart->metres(), 0.0), $this->apart)];
    }

    public function labels(): array
    {
        return [];
    }
}
