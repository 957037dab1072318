<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

/** Touches by foot; those of an unknown side stay apart and are never split, chest and head are other. */
final readonly class FootTouches
{
    public function __construct(
        public float $left = 0.0,
        public float $right = 0.0,
        public float $unknown = 0.0,
        public float $other = 0.0,
    ) {
    }

    public function plus(self $more): self
    {
        return new self(
            $this->left + $more->left,
            $this->right + $more->right,
            $this->unknown + $more->unknown,
            $this->other + $more->other,
        );
    }

    public function times(float $factor): self
    {
        return new self($this->left * $factor, $this->right * $factor, $this->unknown * $factor, $this->other * $factor);
    }

    public function total(): float
    {
        return $this->left + $this->right + $this->unknown + $this->other;
    }

    /**
     * The right foot's share of the touches whose foot is known; null where none is.
     *
     * Example: `(new FootTouches(30.0, 10.0, 500.0))->rightShare()` is `0.25`.
     */
    public function rightShare(): ?float
    {
        $known = $this->left + $this->right;

        return $known > 0.0 ? $this->right / $known : null;
    }
}
