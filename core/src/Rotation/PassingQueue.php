<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

/**
 * A passing pattern in which everybody follows their pass: N players, B balls, τ seconds from one pass of a ball to its next.
 *
 * Each pass is somebody's turn and B balls make B ÷ τ of them a second, so a player has 60·B ÷ (N·τ) turns a minute and waits
 * N·τ ÷ B seconds from one turn to the next on average (gaps are unequal). By counting; no source.
 *
 * Example: `PassingQueue::of(14, 4, 2, 3.0)->turnsPerMinute()` is `60 * 2 / (14 * 3.0)`.
 */
final readonly class PassingQueue
{
    private function __construct(public int $players, public int $positions, public int $balls, public float $passSeconds)
    {
    }

    public static function of(int $players, int $positions, int $balls, float $passSeconds): self
    {
        return new self($players, $positions, $balls, $passSeconds);
    }

    public function turnsPerMinute(): float
    {
        return 60.0 / $this->meanGapSeconds();
    }

    public function meanGapSeconds(): float
    {
        return $this->players * $this->passSeconds / $this->balls;
    }

    /** Players that must be there so that no ball starves and nobody meets their own pass. */
    public function playersNeeded(): int
    {
        return $this->positions + $this->balls;
    }
}
