<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

/** What somebody does in a block beside working. */
final readonly class Duty
{
    public function __construct(public int $playerId, public DutyKind $kind)
    {
    }
}
