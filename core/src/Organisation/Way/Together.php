<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation\Way;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\WorkingWay;

/** One ball between them: a pass is everybody's work, and each makes every second one (of two), every third (of three). */
final readonly class Together implements WorkingWay
{
    use AllAtOnce;

    public function secondsPerRep(Crew $crew, float $seconds, ?float $setSeconds = null): float
    {
        return $crew->workers * $seconds;
    }

    public function balls(Crew $crew): int
    {
        return 1;
    }

    private function seat(Crew $crew, int $slot): Seat
    {
        return new Seat(Role::Works, slot: $slot, ball: 1.0 / $crew->workers);
    }
}
