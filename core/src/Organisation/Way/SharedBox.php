<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation\Way;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\WorkingWay;

/** A ball each in one box for all: everybody works at once. */
final readonly class SharedBox implements WorkingWay
{
    use AllAtOnce;

    public function secondsPerRep(Crew $crew, float $seconds, ?float $setSeconds = null): float
    {
        return $seconds;
    }

    public function balls(Crew $crew): int
    {
        return $crew->workers;
    }

    private function seat(Crew $crew, int $slot): Seat
    {
        return new Seat(Role::Works, slot: $slot, ball: 1.0);
    }
}
