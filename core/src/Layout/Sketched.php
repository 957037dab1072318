<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** A layout whose drawing is worked out once, from its parameters. */
trait Sketched
{
    /** @param  array<string, int>  $parameters */
    private function __construct(private readonly array $parameters, private readonly Sketch $sketch)
    {
    }

    public function forPeople(int $people): self
    {
        return $this;
    }

    public function parameters(): array
    {
        return $this->parameters;
    }

    public function markers(): array
    {
        return $this->sketch->markers;
    }

    public function ballPath(): ?BallPath
    {
        return $this->sketch->ballPath;
    }

    public function runPath(): ?BallPath
    {
        return $this->sketch->runPath;
    }

    public function timesAlongPath(): int
    {
        return $this->sketch->timesAlongPath;
    }

    public function footprint(): Footprint
    {
        return new Footprint($this->sketch->widthMillimetres, $this->sketch->depthMillimetres, Limits::CLEARANCE_MILLIMETRES);
    }

    public function dimensions(): array
    {
        return $this->sketch->dimensions;
    }

    public function labels(): array
    {
        return $this->sketch->labels;
    }

    public function places(): array
    {
        return $this->sketch->places;
    }

    public function balls(): array
    {
        return $this->sketch->balls;
    }

    public function walls(): array
    {
        return $this->sketch->walls;
    }

    public function equipment(): array
    {
        return $this->sketch->equipment;
    }
}
