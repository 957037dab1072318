<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;

/**
 * One stretch of a session, drawn on the ribbon and counted down in the run.
 *
 * `endsByClock` is false where people decide (set-up, explaining) or the work does (reps, quota, race); the seconds
 * are then what it is expected to take.
 */
final readonly class Segment
{
    /**
     * @param  string|null  $side  R, L, alternating, both, strong or weaker, for work
     * @param  int|null  $set  1, 2 … within the side
     * @param  int|null  $turn  1, 2 … within the block
     * @param  list<int>  $working  ids of the players at work
     * @param  list<Owed>  $owed  numbers owed after it
     * @param  string|null  $item  name of the circuit's item, for its work and the rest after it
     * @param  float|null  $plainSeconds  of set-up, explaining and changing over: what it takes before the coach's own times are known
     * @param  array<int, Seat>  $seats  player → seat
     * @param  list<StationTurn>  $stations  who is where, in a round of stations at the same time
     * @param  float  $leftTouches  of one worker on average, with the left foot; the same for $rightTouches
     */
    public function __construct(
        public string $id,
        public string $blockId,
        public SegmentKind $kind,
        public float $seconds,
        public bool $endsByClock,
        public ?string $side = null,
        public ?int $set = null,
        public ?int $turn = null,
        public array $working = [],
        public float $leftTouches = 0.0,
        public float $rightTouches = 0.0,
        public ?string $item = null,
        public ?float $plainSeconds = null,
        public array $owed = [],
        public array $seats = [],
        public array $stations = [],
    ) {
    }

    /**
     * The same under another name, with everybody in this role.
     *
     * @param  list<int>  $players
     */
    public function forAll(string $id, array $players, Role $role): self
    {
        return new self(
            id: $id,
            blockId: $this->blockId,
            kind: $this->kind,
            seconds: $this->seconds,
            endsByClock: $this->endsByClock,
            side: $this->side,
            set: $this->set,
            turn: $this->turn,
            working: $this->working,
            leftTouches: $this->leftTouches,
            rightTouches: $this->rightTouches,
            item: $this->item,
            plainSeconds: $this->plainSeconds,
            owed: $this->owed,
            seats: array_fill_keys($players, new Seat($role)),
            stations: $this->stations,
        );
    }
}
