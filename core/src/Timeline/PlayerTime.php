<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

/** How one player spends a stretch of the session, in seconds; rest and talk are none of these. */
final readonly class PlayerTime
{
    /**
     * @param  float  $ballSeconds  at work with a ball, rests left out; in a line only the own turns
     * @param  float  $servingSeconds  feeding or counting for others
     * @param  float  $waitingSeconds  neither
     * @param  float  $longestWaitSeconds  the longest stretch of it
     * @param  float  $leads  seconds of waiting it begins with
     * @param  float  $trails  seconds of waiting it ends with
     * @param  float  $footworkSeconds  at work where there is no ball
     */
    public function __construct(
        public float $ballSeconds = 0.0,
        public float $servingSeconds = 0.0,
        public float $waitingSeconds = 0.0,
        public float $longestWaitSeconds = 0.0,
        public float $leads = 0.0,
        public float $trails = 0.0,
        public float $footworkSeconds = 0.0,
    ) {
    }

    /** At work, with a ball or without. */
    public function workSeconds(): float
    {
        return $this->ballSeconds + $this->footworkSeconds;
    }

    /** Explained before it, so that a new wait begins; with laying out or moving on before that, and writing down after it. */
    public function within(float $before, float $after): self
    {
        return new self(
            ballSeconds: $this->ballSeconds,
            servingSeconds: $this->servingSeconds,
            waitingSeconds: $this->waitingSeconds + $before + $after,
            longestWaitSeconds: max($before, $this->longestWaitSeconds, $this->trails + $after),
            leads: $before,
            trails: $this->trails + $after,
            footworkSeconds: $this->footworkSeconds,
        );
    }

    /** With so much waiting at its end. */
    public function thenWaiting(float $seconds): self
    {
        return new self(
            ballSeconds: $this->ballSeconds,
            servingSeconds: $this->servingSeconds,
            waitingSeconds: $this->waitingSeconds + $seconds,
            longestWaitSeconds: max($this->longestWaitSeconds, $this->trails + $seconds),
            leads: $this->leads,
            trails: $this->trails + $seconds,
            footworkSeconds: $this->footworkSeconds,
        );
    }

    /** So much of it; nobody waits longer at a time for beginning again. */
    public function times(float $share): self
    {
        return new self(
            ballSeconds: $this->ballSeconds * $share,
            servingSeconds: $this->servingSeconds * $share,
            waitingSeconds: $this->waitingSeconds * $share,
            longestWaitSeconds: $this->longestWaitSeconds * min(1.0, $share),
            leads: $this->leads * min(1.0, $share),
            trails: $this->trails * min(1.0, $share),
            footworkSeconds: $this->footworkSeconds * $share,
        );
    }

    /** One after the other. */
    public function plus(self $other): self
    {
        return new self(
            ballSeconds: $this->ballSeconds + $other->ballSeconds,
            servingSeconds: $this->servingSeconds + $other->servingSeconds,
            waitingSeconds: $this->waitingSeconds + $other->waitingSeconds,
            longestWaitSeconds: max($this->longestWaitSeconds, $other->longestWaitSeconds, $this->trails + $other->leads),
            leads: $this->leads,
            trails: $other->trails,
            footworkSeconds: $this->footworkSeconds + $other->footworkSeconds,
        );
    }
}
