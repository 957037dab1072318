<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** Who is needed at one station: workers, and servers who are players and swap with them. */
final readonly class Organisation
{
    /**
     * @param  int<1, max>  $workers
     * @param  int<0, max>  $playerServers
     */
    public function __construct(public int $workers, public int $playerServers, public Service $service)
    {
    }

    /** @return int<1, max> */
    public function playersPerStation(): int
    {
        return $this->workers + $this->playerServers;
    }
}
