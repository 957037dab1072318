<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\CoreException;

/** A station on the ground, computed from its parameters. */
interface Layout
{
    /** @return list<LayoutParameter> what may be chosen of it, in the order a coach would pace it out */
    public static function chosen(): array;

    /** @throws CoreException If a field is missing or cannot be laid. */
    public static function fromFields(LayoutFields $read): self;

    /** As it is laid for so many at one place: the same, but where room goes by head. */
    public function forPeople(int $people): self;

    /** The name used in drill files. */
    public function kind(): string;

    /**
     * What makes this layout what it is, with lengths in tenths of a millimetre, in a fixed order.
     *
     * @return array<string, int>
     */
    public function parameters(): array;

    /** @return list<Marker> */
    public function markers(): array;

    /** The way of the ball for one repetition, or null where it is free. */
    public function ballPath(): ?BallPath;

    /** The worker's own way where it parts from the ball's; null where they go together, or where it is free. */
    public function runPath(): ?BallPath;

    /** How often an open group of a script is done along the path. */
    public function timesAlongPath(): int;

    public function footprint(): Footprint;

    /** @return list<DimensionLine> */
    public function dimensions(): array;

    /** @return list<Label> */
    public function labels(): array;

    /** @return list<Place> where people stand when a rep begins */
    public function places(): array;

    /** @return list<Point> where balls lie when a rep begins */
    public function balls(): array;

    /** @return list<WallLine> */
    public function walls(): array;

    /** @return array<string, int> beside markers and balls: `Equipment` value → count */
    public function equipment(): array;
}
