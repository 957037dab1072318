<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Shared\ServiceManner;

/** Who is needed at one station: workers, and servers who are players and swap with them. */
final readonly class Organisation
{
    /**
     * @param  int<1, max>  $workers
     * @param  int<0, max>  $playerServers
     * @param  ServiceManner|null  $manner  how the served ball comes; null where nobody serves
     * @param  bool  $coachServes  a coach or helper feeds, and does not swap
     * @param  bool  $serverMoves  whether the server walks while serving, which changes the task
     * @param  bool  $needsCounter  whether somebody must watch and count
     * @param  int<0, max>  $keepers  goalkeepers at a time; the duty goes round by shirt number
     * @param  float  $keeperMinutes  after which the next ones go into goal, an average where they change after each goal; 0 for never
     */
    public function __construct(
        public int $workers,
        public int $playerServers,
        public Service $service,
        public ?ServiceManner $manner = null,
        public Pattern $pattern = Pattern::Own,
        public bool $coachServes = false,
        public bool $serverMoves = false,
        public bool $needsCounter = false,
        public int $keepers = 0,
        public ?ServerCard $card = null,
        public float $keeperMinutes = 0.0,
    ) {
    }

    public function keeperSeconds(): float
    {
        return 60.0 * $this->keeperMinutes;
    }

    /**
     * Goalkeepers one after the other in a block.
     *
     * @param  float|null  $setSeconds  of one set, where a clock ends it
     * @return int<0, max>
     */
    public function keeperTurns(int $goes, ?float $setSeconds): int
    {
        $parts = $this->keeperMinutes <= 0.0 || $setSeconds === null ? 1 : max(1, (int) ceil($setSeconds / $this->keeperSeconds() - 1e-9));

        return $this->keepers * ($this->keeperMinutes <= 0.0 ? 1 : max(1, $goes) * $parts);
    }

    /** @return int<1, max> */
    public function playersPerStation(): int
    {
        return $this->workers + $this->playerServers;
    }

    /** How the ball comes, as the record line names it. */
    public function serviceKey(): string
    {
        return implode(' ', array_filter([$this->service->value, $this->manner?->value, $this->serverMoves ? 'moving' : null]));
    }

    /** Whether one has all of it to do though more may share it: nobody serves, and nobody's go needs another's. */
    public function isForOne(): bool
    {
        return $this->playersPerStation() === 1
            || ($this->playerServers === 0 && in_array($this->pattern, [Pattern::TakeTurns, Pattern::Own], true));
    }

    /** Whether one can do it alone, in a pair, or needs a group. */
    public function people(): string
    {
        return match (true) {
            $this->playersPerStation() >= 3 || in_array($this->pattern, [Pattern::PassAndFollow, Pattern::Hunt], true) => 'group',
            $this->isForOne() => 'alone',
            default => 'pair',
        };
    }
}
