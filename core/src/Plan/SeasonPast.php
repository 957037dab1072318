<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Rotation\Meetings;
use FleetSparrow\Core\Shared\Earlier;

/** What a plan needs of the squad's past: who was with whom, who was in goal or served, and what each player has had lately. */
final readonly class SeasonPast
{
    /**
     * @param  array<int, list<list<int>>>  $groups  sessions ago → groups that were together
     * @param  array<int, int>  $keeperTurns  player → times in goal this season
     * @param  array<int, int>  $serverTurns  player → times serving only this season
     * @param  array<int, list<Earlier>>  $headers  player → sessions with headers, as planned and run
     * @param  array<int, list<Earlier>>  $touches  player → sessions of the last 35 days
     * @param  array<int, list<Earlier>>  $strikes  player → sessions of the last 35 days
     * @param  array<int, list<Earlier>>  $headingMinutes  player → minutes of heading practice
     */
    public function __construct(
        public array $groups = [],
        public array $keeperTurns = [],
        public array $serverTurns = [],
        public array $headers = [],
        public array $touches = [],
        public array $strikes = [],
        public array $headingMinutes = [],
    ) {
    }

    public function meetings(): Meetings
    {
        return Meetings::of($this->groups);
    }
}
