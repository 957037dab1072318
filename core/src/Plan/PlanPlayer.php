<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\StrongFoot;

/** A player who is coming, with what their own numbers say by drill, and what they may do today. */
final readonly class PlanPlayer
{
    /**
     * @param  array<string, OwnNumbers>  $numbers  by the drill's slug
     * @param  AgeGroup|null  $age  null where it is not known
     */
    public function __construct(
        public int $id,
        public StrongFoot $strongFoot,
        public Availability $today = Availability::Everything,
        public array $numbers = [],
        public ?AgeGroup $age = null,
    ) {
    }
}
