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
     * @param  int|null  $item  of a circuit, from 0: of its work, and the next one in the rest before it
     * @param  int|null  $shift  1, 2 …: whose turn it is at places where people take turns
     */
    public function __construct(
        public SegmentKind $kind,
        public float $seconds,
        public bool $endsByClock,
        public array $seats,
        public ?string $side = null,
        public ?int $set = null,
        public array $owed = [],
        public ?int $item = null,
        public ?int $shift = null,
    ) {
    }

    /** The same where there is no ball. */
    public function withoutBall(): self
    {
        return $this->with(seats: array_map(static fn (Seat $seat): Seat => $seat->withoutBall(), $this->seats), owed: $this->owed);
    }

    /** @param  list<int>  $players */
    public function owing(array $players): self
    {
        return $this->with(seats: $this->seats, owed: $players);
    }

    /**
     * @param  array<int, Seat>  $seats
     * @param  list<int>  $owed
     */
    private function with(array $seats, array $owed): self
    {
        return new self(
            kind: $this->kind,
            seconds: $this->seconds,
            endsByClock: $this->endsByClock,
            seats: $seats,
            side: $this->side,
            set: $this->set,
            owed: $owed,
            item: $this->item,
            shift: $this->shift,
        );
    }
}
