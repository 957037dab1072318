<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

/** A duty in one block that goes round over the season: goalkeeper, or serving without working. */
final readonly class Duty
{
    /** @param  string  $kind  keeper or server */
    public function __construct(public string $playerId, public string $kind)
    {
    }
}
