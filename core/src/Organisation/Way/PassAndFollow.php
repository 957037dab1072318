<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation\Way;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\WorkingWay;

/**
 * Everybody follows their pass: of N players and B balls each has one turn of τ seconds out of N·τ ÷ B. By counting; no source.
 * After a rest the line goes on where it stopped.
 */
final readonly class PassAndFollow implements WorkingWay
{
    use AllAtOnce;

    /**
     * @param  int<1, max>  $balls
     * @param  float  $passSeconds  from one pass of a ball to its next
     */
    public function __construct(private int $balls, private float $passSeconds)
    {
    }

    public function secondsPerRep(Crew $crew, float $seconds, ?float $setSeconds = null): float
    {
        return $crew->workers * $seconds / $this->balls($crew);
    }

    public function balls(Crew $crew): int
    {
        return min($this->balls, $crew->workers);
    }

    private function seat(Crew $crew, int $slot): Seat
    {
        $share = $this->balls($crew) / $crew->workers;

        return new Seat(
            Role::Works,
            slot: $slot,
            ball: $share,
            wait: 1.0 - $share,
            gapSeconds: $this->secondsPerRep($crew, $this->passSeconds),
        );
    }
}
