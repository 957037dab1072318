<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

/** One go at one place: who does what, slot by slot. */
final readonly class Go
{
    /**
     * @param  int<1, max>  $set  within the side
     * @param  float  $gapSeconds  before it, since the go before ended; 0 for the first
     * @param  float  $swapSeconds  of the gap, for changing over; the rest of it is rest
     * @param  array<int, Seat>  $seats  slot → seat
     * @param  list<int>  $owed  slots that owe a number after it
     * @param  float  $lasts  of a whole go: half a set in a hunt
     * @param  int  $shift  from 0: whose turn it is
     */
    public function __construct(
        public string $side,
        public int $set,
        public float $gapSeconds,
        public float $swapSeconds,
        public array $seats,
        public array $owed,
        public float $lasts = 1.0,
        public int $shift = 0,
    ) {
    }
}
