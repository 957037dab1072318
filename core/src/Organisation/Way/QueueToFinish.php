<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation\Way;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\WorkingWay;

/**
 * One attack at a time, of P positions: a set of T seconds has ⌊(T + reset) ÷ (trip + reset)⌋ attacks, and each of N players
 * attacks · P ÷ N turns. By counting; no source.
 */
final readonly class QueueToFinish implements WorkingWay
{
    use AllAtOnce, ChangesGoal {
        ChangesGoal::goes insteadof AllAtOnce;
    }

    /**
     * @param  int<1, max>  $positions
     * @param  int<0, max>  $keepers  who are in goal, not in the queue
     * @param  float  $keeperSeconds  after which the goal changes; 0 for never
     */
    public function __construct(
        private int $positions,
        private float $tripSeconds,
        private float $resetSeconds,
        private int $keepers = 0,
        private float $keeperSeconds = 0.0,
    ) {
    }

    /** Attacks in a set of so many seconds. */
    public function attacks(float $seconds): int
    {
        return (int) floor(($seconds + $this->resetSeconds + 1e-9) / ($this->tripSeconds + $this->resetSeconds));
    }

    public function secondsPerRep(Crew $crew, float $seconds, ?float $setSeconds = null): float
    {
        $each = max(1.0, ($crew->workers - $this->inGoal($crew)) / $this->positions);

        return $setSeconds === null
            ? ($this->tripSeconds + $this->resetSeconds) * $each
            : $setSeconds * $each / max(1, $this->attacks($setSeconds));
    }

    public function balls(Crew $crew): int
    {
        return 1;
    }

    private function seat(Crew $crew, int $slot): Seat
    {
        $keepers = $this->inGoal($crew);
        if ($slot < $keepers) {
            return new Seat(Role::KeepsGoal, slot: $slot);
        }
        $attacking = $this->tripSeconds / ($this->tripSeconds + $this->resetSeconds);
        $inTurn = min(1.0, $this->positions / ($crew->workers - $keepers)) * $attacking;

        return new Seat(
            Role::Works,
            slot: $slot,
            ball: $attacking / ($crew->workers - $keepers),
            wait: 1.0 - $inTurn,
            gapSeconds: $this->secondsPerRep($crew, $this->tripSeconds),
        );
    }
}
