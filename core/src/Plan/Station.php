<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

/** Who is at one station. Servers here stay servers; where workers serve each other they swap. */
final readonly class Station
{
    /**
     * @param  non-empty-list<PlanPlayer>  $workers  who works here, in the order in which they do
     * @param  list<PlanPlayer>  $servers  players who only serve today
     * @param  bool  $isHelped  whether a grown-up serves, so that nobody swaps
     */
    public function __construct(public array $workers, public array $servers = [], public bool $isHelped = false)
    {
    }

    public function players(): int
    {
        return count($this->workers) + count($this->servers);
    }
}
