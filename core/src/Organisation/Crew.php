<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

/** How many there are at one place. Slots 0 … workers − 1 work, those after them only serve today. */
final readonly class Crew
{
    /**
     * @param  int<1, max>  $workers
     * @param  int<0, max>  $servers  players who only serve
     * @param  bool  $isHelped  whether a grown-up serves or feeds
     */
    public function __construct(public int $workers, public int $servers = 0, public bool $isHelped = false)
    {
    }

    public function people(): int
    {
        return $this->workers + $this->servers;
    }
}
