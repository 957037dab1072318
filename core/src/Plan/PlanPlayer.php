<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Shared\StrongFoot;

/** A player who is coming, with what is known of how many tries turn out good, by drill, and what they may do today. */
final readonly class PlanPlayer
{
    /** @param  array<string, array{made: int, missed: int}>  $triesByDrill slug → tries */
    public function __construct(public string $id, public StrongFoot $strongFoot, public array $triesByDrill = [], public Availability $today = Availability::Everything)
    {
    }
}
