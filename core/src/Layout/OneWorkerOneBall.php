<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** Stations on which one worker goes with one ball: both begin where the path begins. */
trait OneWorkerOneBall
{
    public function forPeople(int $people): self
    {
        return $this;
    }

    public function runPath(): ?BallPath
    {
        return null;
    }

    public function places(): array
    {
        return [new Place($this->beginning(), PlaceRole::Worker)];
    }

    public function balls(): array
    {
        return [$this->beginning()];
    }

    public function walls(): array
    {
        return [];
    }

    public function equipment(): array
    {
        return [];
    }

    private function beginning(): Point
    {
        return $this->ballPath()?->points[0] ?? new Point(
            $this->footprint()->widthMillimetres / 2000,
            $this->footprint()->depthMillimetres / 2000,
        );
    }
}
