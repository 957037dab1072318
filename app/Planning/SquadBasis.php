<?php

declare(strict_types=1);

namespace App\Planning;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\StrongFoot;

/** What a plan goes by beside its draft: who is in the squad, what they did lately, and how long their coach takes. */
final readonly class SquadBasis
{
    /**
     * @param  array<int, StrongFoot>  $strongFeet  of the players, in the order of their names
     * @param  array<int, AgeGroup>  $ages  of the players whose birth year is known
     * @param  list<string>  $knownDrills  slugs done in the squad's last sessions that were run before the day
     * @param  ClockRules  $rules  with the coach's own times for setting up, explaining and changing over, in all squads
     * @param  SeasonPast  $past  what lies before the day; sessions of the day itself do not count
     */
    public function __construct(
        public array $strongFeet,
        public array $ages,
        public array $knownDrills,
        public ClockRules $rules,
        public SeasonPast $past,
    ) {
    }
}
