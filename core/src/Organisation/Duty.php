<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

/** What somebody does in a block beside working: goalkeeper, serving without working, or counting and fetching where nobody serves. */
final readonly class Duty
{
    /** @param  string  $kind  keeper, server or counts */
    public function __construct(public string $playerId, public string $kind)
    {
    }
}
