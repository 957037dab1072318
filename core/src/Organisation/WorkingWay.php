<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

/**
 * One way of working together at one place. Its goes say who does what, for 1 to 20 people; nothing else knows.
 */
interface WorkingWay
{
    /** @return list<Go> of everybody at the place, in their order */
    public function goes(Crew $crew, GoPattern $pattern): array;

    /**
     * Who goes one after the other, and who beside them: a place is done when its last lane is.
     *
     * @return non-empty-list<non-empty-list<int>> lanes of slots
     */
    public function lanes(Crew $crew): array;

    /**
     * Seconds from one own rep to the next of the same player, while it is their turn to work.
     *
     * @param  float  $seconds  of one rep of one alone
     * @param  float|null  $setSeconds  of a set where the clock ends it
     */
    public function secondsPerRep(Crew $crew, float $seconds, ?float $setSeconds = null): float;

    /** How many times the people of the place take turns: 1 where all work at once. */
    public function shifts(Crew $crew): int;

    /** Balls in play at the place at once. */
    public function balls(Crew $crew): int;
}
