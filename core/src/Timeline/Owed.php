<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

/** A number somebody owes: whose, of which block, on which side and in which set. No two of a session are the same. */
final readonly class Owed
{
    /**
     * @param  string  $side  R, L, alternating or both, as the player works it
     * @param  int|null  $item  of a circuit, from 0
     * @param  int  $set  1, 2 … within the side
     */
    public function __construct(
        public int $playerId,
        public string $blockId,
        public string $side,
        public ?int $item = null,
        public int $set = 1,
    ) {
    }
}
