<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

/** How one player spends the work of a block, in seconds; rest and talk are neither. */
final readonly class PlayerTime
{
    /**
     * @param  float  $ballSeconds  at work, rests left out; in a line only the own turns
     * @param  float  $servingSeconds  feeding or counting for others
     * @param  float  $waitingSeconds  neither
     * @param  float  $longestWaitSeconds  the longest stretch of it
     */
    public function __construct(
        public float $ballSeconds = 0.0,
        public float $servingSeconds = 0.0,
        public float $waitingSeconds = 0.0,
        public float $longestWaitSeconds = 0.0,
    ) {
    }

    /** So much of it; nobody waits longer at a time for beginning again. */
    public function times(float $share): self
    {
        return new self(
            $this->ballSeconds * $share,
            $this->servingSeconds * $share,
            $this->waitingSeconds * $share,
            $this->longestWaitSeconds * min(1.0, $share),
        );
    }

    public function plus(self $other): self
    {
        return new self(
            $this->ballSeconds + $other->ballSeconds,
            $this->servingSeconds + $other->servingSeconds,
            $this->waitingSeconds + $other->waitingSeconds,
            max($this->longestWaitSeconds, $other->longestWaitSeconds),
        );
    }
}
