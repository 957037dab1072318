<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

/**
 * One player in one spell. Shares are expectations: the ball is theirs for `ball` of the spell, and `wait` of it they wait, whatever
 * the role; a role counts for what is left.
 */
final readonly class Seat
{
    /** Share of the spell spent waiting, in whatever role. */
    public float $waiting;

    /** Share of the spell spent for others. */
    public float $serving;

    /**
     * @param  int  $slot  from 0: who of that place
     * @param  float  $gapSeconds  from one own turn to the next on average, where turns are shared; 0 elsewhere
     * @param  float  $footwork  share of the spell at work where there is no ball
     * @param  bool  $isExtra  begins again while others still have goes: these touches count, no number is owed
     */
    public function __construct(
        public Role $role,
        public int $slot = 0,
        public float $ball = 0.0,
        public float $wait = 0.0,
        public float $gapSeconds = 0.0,
        public bool $isExtra = false,
        public float $footwork = 0.0,
    ) {
        $this->waiting = $role->isIdle() ? 1.0 : $wait;
        $this->serving = $role->isService() ? 1.0 - $wait : 0.0;
    }

    /** The same for another slot. */
    public function at(int $slot): self
    {
        return new self($this->role, $slot, $this->ball, $this->wait, $this->gapSeconds, $this->isExtra);
    }

    /** The same at work where there is no ball. */
    public function withoutBall(): self
    {
        return new self(
            role: $this->role,
            slot: $this->slot,
            wait: $this->wait,
            gapSeconds: $this->gapSeconds,
            isExtra: $this->isExtra,
            footwork: $this->ball,
        );
    }

    public function again(): self
    {
        return new self($this->role, $this->slot, $this->ball, $this->wait, $this->gapSeconds, true);
    }

    /** The same where only a share of the spell is theirs: who is done early waits for the rest of it. */
    public function forShare(float $share): self
    {
        return $share >= 1.0
            ? $this
            : new self(
                role: $this->role,
                slot: $this->slot,
                ball: $this->ball * $share,
                wait: 1.0 - $share * (1.0 - $this->wait),
                gapSeconds: $this->gapSeconds,
                isExtra: $this->isExtra,
            );
    }
}
