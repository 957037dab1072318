<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\Footprint;
use FleetSparrow\Core\Layout\HoldsNumbers;
use FleetSparrow\Core\Layout\Label;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\LayoutFields;
use FleetSparrow\Core\Layout\LayoutParameter;
use FleetSparrow\Core\Layout\Limits;
use FleetSparrow\Core\Layout\Marker;
use FleetSparrow\Core\Layout\MarkerShape;
use FleetSparrow\Core\Layout\OneWorkerOneBall;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Shared\Length;

/**
 * Markers in two staggered rows; the ball goes from each to the next, so the path is (n − 1)·spacing.
 *
 * Example: `Zigzag::of(5, Length::ofMetres(4.0), 60)->ballPath()->lengthMetres` is `16.0`.
 */
final readonly class Zigzag implements Layout
{
    use HoldsNumbers;
    use OneWorkerOneBall;

    public const KIND = 'zigzag';

    private function __construct(private int $markers, private Length $spacing, private int $angleDegrees)
    {
    }

    /**
     * @param  int  $angleDegrees  how far each leg turns from the one before, 20 to 140
     *
     * @throws InvalidLayout If there are not 2 to 60 markers, or spacing or angle cannot be laid.
     */
    public static function of(int $markers, Length $spacing, int $angleDegrees): self
    {
        return new self(
            self::held('markers', $markers),
            Limits::length('spacing', $spacing),
            self::held('angleDegrees', $angleDegrees),
        );
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::whole('markers', 'Markers', 2, 60),
            LayoutParameter::length('spacing', 'Spacing'),
            LayoutParameter::whole('angleDegrees', 'Each leg turns, degrees', 20, 140),
        ];
    }

    public static function fromFields(LayoutFields $read): self
    {
        return self::of($read->whole('markers'), $read->length('spacing'), $read->whole('angleDegrees'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function parameters(): array
    {
        return ['markers' => $this->markers, 'spacing' => $this->spacing->tenthsOfMillimetre, 'angleDegrees' => $this->angleDegrees];
    }

    public function markers(): array
    {
        return array_map(
            static fn (int $i, Point $at): Marker => $i % 2 === 0
                ? new Marker($at, 'white', MarkerShape::Triangle)
                : new Marker($at, 'blue', MarkerShape::Square),
            array_keys($this->points()),
            $this->points(),
        );
    }

    public function ballPath(): BallPath
    {
        return new BallPath($this->points(), ($this->markers - 1) * $this->spacing->metres());
    }

    public function timesAlongPath(): int
    {
        return $this->markers - 1;
    }

    public function footprint(): Footprint
    {
        return new Footprint(
            Limits::millimetres(($this->markers - 1) * $this->advanceMetres()),
            Limits::millimetres($this->swayMetres()),
            Limits::CLEARANCE_MILLIMETRES,
        );
    }

    public function dimensions(): array
    {
        $points = $this->points();
        $end = new Point(($this->markers - 1) * $this->advanceMetres(), 0.0);

        return [
            new DimensionLine($points[0], $points[1] ?? $points[0], $this->spacing),
            new DimensionLine($points[0], $end, Length::ofMetres($end->xMetres)),
        ];
    }

    public function labels(): array
    {
        return [new Label($this->points()[0], 'start')];
    }

    private function advanceMetres(): float
    {
        return $this->spacing->metres() * cos(deg2rad($this->angleDegrees / 2));
    }

    private function swayMetres(): float
    {
        return $this->spacing->metres() * sin(deg2rad($this->angleDegrees / 2));
    }

    /** @return non-empty-list<Point> */
    private function points(): array
    {
        $points = [new Point(0.0, 0.0)];
        for ($i = 1; $i < $this->markers; $i++) {
            $points[] = new Point($i * $this->advanceMetres(), $i % 2 === 0 ? 0.0 : $this->swayMetres());
        }

        return $points;
    }
}
