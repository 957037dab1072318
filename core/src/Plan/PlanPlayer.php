<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Shared\StrongFoot;

/** A player who is coming, with what their own numbers say by drill, and what they may do today. */
final readonly class PlanPlayer
{
    /** @param  array<string, OwnNumbers>  $numbers  by the drill's slug */
    public function __construct(
        public int $id,
        public StrongFoot $strongFoot,
        public Availability $today = Availability::Everything,
        public array $numbers = [],
    ) {
    }
}
