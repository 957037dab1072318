<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\Equipment;
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
use FleetSparrow\Core\Layout\WallLine;
use FleetSparrow\Core\Shared\Length;

/** A lane in front of a wall with distance levels marked; the ball goes from the level in use to the wall and back. */
final readonly class WallLane implements Layout
{
    use HoldsNumbers;
    use OneWorkerOneBall;

    public const KIND = 'wall-lane';

    private function __construct(
        private Length $width,
        private Length $nearest,
        private Length $step,
        private int $levels,
        private int $level,
    ) {
    }

    /**
     * @param  Length  $nearest  from the wall to level 1
     * @param  Length  $step  from each level to the next
     * @param  int  $level  the level in use, 1 to $levels
     *
     * @throws InvalidLayout If a length, the number of levels (1 to 6) or the level cannot be laid.
     */
    public static function of(Length $width, Length $nearest, Length $step, int $levels, int $level): self
    {
        return new self(
            Limits::length('lane width', $width),
            Limits::length('nearest level', $nearest),
            Limits::length('step between levels', $step),
            self::held('levels', $levels),
            Limits::count('level in use', $level, 1, $levels),
        );
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('width', 'Width'),
            LayoutParameter::length('nearest', 'Nearest line'),
            LayoutParameter::length('step', 'From line to line'),
            LayoutParameter::whole('levels', 'Lines', 1, 6),
            LayoutParameter::whole('level', 'Line in use', 1, 6),
        ];
    }

    public static function fromFields(LayoutFields $read): self
    {
        return self::of(
            $read->length('width'),
            $read->length('nearest'),
            $read->length('step'),
            $read->whole('levels'),
            $read->whole('level'),
        );
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function parameters(): array
    {
        return [
            'width' => $this->width->tenthsOfMillimetre,
            'nearest' => $this->nearest->tenthsOfMillimetre,
            'step' => $this->step->tenthsOfMillimetre,
            'levels' => $this->levels,
            'level' => $this->level,
        ];
    }

    public function markers(): array
    {
        $markers = [];
        for ($level = 1; $level <= $this->levels; $level++) {
            foreach ([0.0, $this->width->metres()] as $x) {
                $at = new Point($x, -$this->distanceMetres($level));
                $markers[] = $level === $this->level
                    ? new Marker($at, 'blue', MarkerShape::Square)
                    : new Marker($at, 'white', MarkerShape::Triangle);
            }
        }

        return $markers;
    }

    public function ballPath(): BallPath
    {
        $middle = $this->width->metres() / 2;
        $player = new Point($middle, -$this->distanceMetres($this->level));

        return BallPath::through([$player, new Point($middle, 0.0), $player]);
    }

    public function timesAlongPath(): int
    {
        return 1;
    }

    public function footprint(): Footprint
    {
        return new Footprint(
            Limits::millimetres($this->width->metres()),
            Limits::millimetres($this->distanceMetres($this->levels)),
            Limits::CLEARANCE_MILLIMETRES,
        );
    }

    public function dimensions(): array
    {
        $w = $this->width->metres();
        $used = $this->distanceMetres($this->level);

        return [
            new DimensionLine(new Point($w, -$used), new Point($w, 0.0), Length::ofMetres($used)),
            new DimensionLine(
                new Point(0.0, -$this->distanceMetres($this->levels)),
                new Point($w, -$this->distanceMetres($this->levels)),
                $this->width,
            ),
        ];
    }

    public function labels(): array
    {
        return [new Label(new Point($this->width->metres() / 2, 0.0), 'wall')];
    }

    public function walls(): array
    {
        return [new WallLine(new Point(-0.5, 0.0), new Point($this->width->metres() + 0.5, 0.0))];
    }

    public function equipment(): array
    {
        return [Equipment::Wall->value => 1];
    }

    private function distanceMetres(int $level): float
    {
        return $this->nearest->metres() + ($level - 1) * $this->step->metres();
    }
}
