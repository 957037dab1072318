<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Shared\StrongFoot;

/** A player who is coming, with what their own numbers say by drill, and what they may do today. */
final readonly class PlanPlayer
{
    /**
     * @param  array<string, array{made: int, missed: int}>  $triesByDrill  slug → how many turned out good
     * @param  array<string, array{seconds: float, days: int}>  $secondsByDrill  slug → seconds of a rep on average, and on how many days
     *     that was measured
     */
    public function __construct(
        public int $id,
        public StrongFoot $strongFoot,
        public array $triesByDrill = [],
        public Availability $today = Availability::Everything,
        public array $secondsByDrill = [],
    ) {
    }
}
