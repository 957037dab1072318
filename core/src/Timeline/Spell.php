<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Organisation\Seat;

/** A stretch with one thing going on, and a seat for everybody who is present. */
final readonly class Spell
{
    /**
     * @param  float  $seconds  on average
     * @param  bool  $endsByClock  false where a press ends it
     * @param  array<int, Seat>  $seats  player → seat
     * @param  string|null  $side  R, L, alternating, both, strong or weaker, for work
     * @param  int|null  $set  1, 2 … within the side
     * @param  list<int>  $owed  players who owe a number after it
     */
    public function __construct(
        public SegmentKind $kind,
        public float $seconds,
        public bool $endsByClock,
        public array $seats,
        public ?string $side = null,
        public ?int $set = null,
        public array $owed = [],
    ) {
    }
}
