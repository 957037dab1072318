<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

/** A number somebody owes: whose, of which block, on which side. */
final readonly class Owed
{
    /** @param  string  $side  R, L, alternating or both, as the player works it */
    public function __construct(public int $playerId, public string $blockId, public string $side)
    {
    }
}
