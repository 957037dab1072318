<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/**
 * How one player works at one drill: seconds for a rep, and the chance of a good one with what it rests on.
 *
 * The chance is never a plug-in: it is Beta(made + m·p0, missed + m·(1 − p0)) with m = 10, so a player
 * with 0 of 3 still has a finite time.
 */
final class Pace
{
    /** Tries that the drill's own chance weighs as much as. */
    public const PRIOR_WEIGHT = 10.0;

    /** Spread of a judged rep time (default). */
    public const COEFFICIENT_OF_VARIATION = 0.25;

    private ?string $key = null;

    private function __construct(
        public readonly float $secondsPerRep,
        public readonly float $priorChance,
        public readonly int $made,
        public readonly int $missed,
        public readonly float $fetchSeconds,
    ) {
    }

    /**
     * @param  float  $priorChance  chance of a good rep before any mark, between 0.05 and 1
     *
     * @throws InvalidDose If a time is not positive, the chance is out of range or a count is negative.
     */
    public static function of(float $secondsPerRep, float $priorChance, float $fetchSeconds, int $made = 0, int $missed = 0): self
    {
        if (! is_finite($secondsPerRep) || $secondsPerRep <= 0.0 || ! is_finite($fetchSeconds) || $fetchSeconds < 0.0) {
            throw InvalidDose::at('pace.seconds', 'Seconds for a rep must be over 0, and for fetching the ball 0 or more.');
        }
        if (! ($priorChance >= 0.05 && $priorChance <= 1.0)) {
            throw InvalidDose::at('pace.chance', 'The chance of a good rep must be between 0.05 and 1.');
        }
        if ($made < 0 || $missed < 0) {
            throw InvalidDose::at('pace.counts', 'Made and missed tries cannot be negative.');
        }

        return new self($secondsPerRep, $priorChance, $made, $missed, $fetchSeconds);
    }

    public function withTries(int $made, int $missed): self
    {
        return self::of($this->secondsPerRep, $this->priorChance, $this->fetchSeconds, $made, $missed);
    }

    /** The same player where a rep takes so long, as in a line of many. */
    public function withSecondsPerRep(float $secondsPerRep): self
    {
        return $secondsPerRep === $this->secondsPerRep
            ? $this
            : self::of($secondsPerRep, $this->priorChance, $this->fetchSeconds, $this->made, $this->missed);
    }

    /** The same for whoever works alike; put together once, as it is asked for all the time. */
    public function key(): string
    {
        return $this->key ??= "{$this->secondsPerRep} {$this->alpha()} {$this->beta()} {$this->fetchSeconds}";
    }

    public function alpha(): float
    {
        return $this->made + self::PRIOR_WEIGHT * $this->priorChance;
    }

    public function beta(): float
    {
        return $this->missed + self::PRIOR_WEIGHT * (1.0 - $this->priorChance);
    }
}
