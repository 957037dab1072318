<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/**
 * How long something takes, in seconds: mean and variance, which add up over independent parts.
 *
 * Example: `DurationEstimate::fixed(30.0)->plus(DurationEstimate::fixed(15.0))->meanSeconds` is `45.0`.
 */
final readonly class DurationEstimate
{
    private function __construct(public float $meanSeconds, public float $variance)
    {
    }

    /** A time kept by the clock. */
    public static function fixed(float $seconds): self
    {
        return new self($seconds, 0.0);
    }

    /** A time judged by eye. */
    public static function judged(float $seconds, float $coefficientOfVariation): self
    {
        return new self($seconds, ($seconds * $coefficientOfVariation) ** 2);
    }

    public static function ofMoments(float $meanSeconds, float $variance): self
    {
        return new self($meanSeconds, max(0.0, $variance));
    }

    public function plus(self $other): self
    {
        return new self($this->meanSeconds + $other->meanSeconds, $this->variance + $other->variance);
    }

    /** Multiplied by an independent log-normal factor of mean 1, shared by everything in it. */
    public function withSharedFactor(float $coefficientOfVariation): self
    {
        $growth = 1.0 + $coefficientOfVariation ** 2;

        return new self($this->meanSeconds, ($this->variance + $this->meanSeconds ** 2) * $growth - $this->meanSeconds ** 2);
    }

    public function standardDeviationSeconds(): float
    {
        return sqrt($this->variance);
    }
}
