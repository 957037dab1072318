<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** What a server needs to be told, a line each; empty where there is nothing to say. */
final readonly class ServerCard
{
    public function __construct(public string $give, public string $call, public string $count, public string $stop)
    {
    }
}
