<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation\Way;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\WorkingWay;

/**
 * Against each other, and games: those on the field share the ball for the time it is in play, a goalkeeper half as much as the
 * others: balls × 0.6 ÷ (field + keepers ÷ 2).
 */
final readonly class Game implements WorkingWay
{
    use AllAtOnce, ChangesGoal {
        ChangesGoal::goes insteadof AllAtOnce;
    }

    /** Time the ball is in play; this tool's own value. */
    public const IN_PLAY = 0.6;

    /** Contacts a second of having the ball; this tool's own value. */
    public const CONTACTS_A_SECOND = 1.0;

    /**
     * @param  int<0, max>  $keepers  of a field, the first slots
     * @param  int<1, max>  $balls
     * @param  float  $keeperSeconds  after which the goal changes; 0 for never
     */
    public function __construct(private int $keepers = 0, private int $balls = 1, private float $keeperSeconds = 0.0)
    {
    }

    public function secondsPerRep(Crew $crew, float $seconds, ?float $setSeconds = null): float
    {
        return 1.0 / max(1e-9, $this->fieldShare($crew) * self::CONTACTS_A_SECOND);
    }

    public function balls(Crew $crew): int
    {
        return $this->balls;
    }

    public function fieldShare(Crew $crew): float
    {
        $keepers = $this->inGoal($crew);

        return $this->balls * self::IN_PLAY / ($crew->workers - $keepers + $keepers / 2.0);
    }

    private function seat(Crew $crew, int $slot): Seat
    {
        return $slot < $this->inGoal($crew)
            ? new Seat(Role::KeepsGoal, slot: $slot, ball: $this->fieldShare($crew) / 2.0)
            : new Seat(Role::Plays, slot: $slot, ball: $this->fieldShare($crew));
    }
}
