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

/**
 * Two markers rounded in a figure of eight, with a third between them where the path crosses.
 *
 * The path is two inner tangents and two arcs of radius ρ round markers d apart:
 * 2·√(d² − 4ρ²) + 2ρ·(π + 2·asin(2ρ ÷ d)). Derivation: each tangent has length √(d² − 4ρ²) and leaves the
 * circle asin(2ρ ÷ d) beyond the quarter, so each arc turns π + 2·asin(2ρ ÷ d).
 *
 * Example: `round(FigureOfEight::of(Length::of(3.0, LengthUnit::Yard), Length::ofMetres(0.5), true)->ballPath()->lengthMetres, 3)` is
 * `8.997`.
 */
final readonly class FigureOfEight implements Layout
{
    use OneWorkerOneBall;

    public const KIND = 'figure-of-eight';

    private const ARC_STEPS = 24;

    private function __construct(private Length $distance, private Length $radius, private bool $middleMarker)
    {
    }

    /**
     * @param  Length  $distance  between the two outer markers
     *
     * @throws InvalidLayout If a length cannot be laid, or the circles would meet (distance at most twice the radius).
     */
    public static function of(Length $distance, Length $radius, bool $middleMarker): self
    {
        Limits::length('distance', $distance);
        Limits::length('radius', $radius);
        if ($distance->tenthsOfMillimetre <= 2 * $radius->tenthsOfMillimetre) {
            throw InvalidLayout::at('layout.radius', 'The markers must stand more than two radii apart.');
        }

        return new self($distance, $radius, $middleMarker);
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('distance', 'Distance'),
            LayoutParameter::length('radius', 'Room round a marker'),
            LayoutParameter::flag('middleMarker', 'A marker in the middle'),
        ];
    }

    public static function fromFields(LayoutFields $read): self
    {
        return self::of($read->length('distance'), $read->length('radius'), $read->is('middleMarker', true));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function parameters(): array
    {
        return [
            'distance' => $this->distance->tenthsOfMillimetre,
            'radius' => $this->radius->tenthsOfMillimetre,
            'middleMarker' => $this->middleMarker ? 1 : 0,
        ];
    }

    public function markers(): array
    {
        $d = $this->distance->metres();
        $markers = [
            new Marker(new Point(0.0, 0.0), 'white', MarkerShape::Triangle),
            new Marker(new Point($d, 0.0), 'blue', MarkerShape::Square),
        ];
        if ($this->middleMarker) {
            $markers[] = new Marker(new Point($d / 2, 0.0), 'yellow', MarkerShape::Ring);
        }

        return $markers;
    }

    public function ballPath(): BallPath
    {
        [$d, $r] = [$this->distance->metres(), $this->radius->metres()];
        $beyond = asin(2 * $r / $d);
        $turn = M_PI + 2 * $beyond;
        // Each arc is centred on the far side of its marker; the straight runs are the gaps between the two arcs.
        $points = [];
        foreach ([[new Point($d, 0.0), 0.0, 1.0], [new Point(0.0, 0.0), M_PI, -1.0]] as [$centre, $middle, $sense]) {
            for ($i = 0; $i <= self::ARC_STEPS; $i++) {
                $points[] = $centre->toward($middle + $sense * $turn * ($i / self::ARC_STEPS - 0.5), $r);
            }
        }
        $points[] = $points[0];

        return new BallPath($points, 2 * sqrt($d ** 2 - 4 * $r ** 2) + 2 * $r * $turn);
    }

    public function timesAlongPath(): int
    {
        return 2;
    }

    public function footprint(): Footprint
    {
        $r = $this->radius->metres();

        return new Footprint(
            Limits::millimetres($this->distance->metres() + 2 * $r),
            Limits::millimetres(2 * $r),
            Limits::CLEARANCE_MILLIMETRES,
        );
    }

    public function dimensions(): array
    {
        return [new DimensionLine(new Point(0.0, 0.0), new Point($this->distance->metres(), 0.0), $this->distance)];
    }

    public function labels(): array
    {
        return [];
    }
}
