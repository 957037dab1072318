<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/**
 * How long something takes, in seconds: mean, variance and third central moment, which add up over independent parts.
 *
 * Example: `DurationEstimate::fixed(30.0)->plus(DurationEstimate::fixed(15.0))->meanSeconds` is `45.0`.
 */
final readonly class DurationEstimate
{
    private function __construct(public float $meanSeconds, public float $variance, public float $third)
    {
    }

    /** A time kept by the clock. */
    public static function fixed(float $seconds): self
    {
        return new self($seconds, 0.0, 0.0);
    }

    /** A judged time with the skewness of a gamma distribution (third moment 2·mean³·cv⁴). */
    public static function judged(float $seconds, float $coefficientOfVariation): self
    {
        return new self($seconds, ($seconds * $coefficientOfVariation) ** 2, 2.0 * $seconds ** 3 * $coefficientOfVariation ** 4);
    }

    public static function ofMoments(float $meanSeconds, float $variance, float $third): self
    {
        return new self($meanSeconds, max(0.0, $variance), $third);
    }

    public function plus(self $other): self
    {
        return new self($this->meanSeconds + $other->meanSeconds, $this->variance + $other->variance, $this->third + $other->third);
    }

    /** The sum of so many independent goes. */
    public function repeated(int $times): self
    {
        return new self($this->meanSeconds * $times, $this->variance * $times, $this->third * $times);
    }

    /** The same time in another unit of work: every second becomes `$factor` seconds. */
    public function scaled(float $factor): self
    {
        return new self($this->meanSeconds * $factor, $this->variance * $factor ** 2, $this->third * $factor ** 3);
    }

    /** Multiplied by an independent log-normal factor of mean 1, shared by everything in it. */
    public function withSharedFactor(float $coefficientOfVariation): self
    {
        $growth = 1.0 + $coefficientOfVariation ** 2;
        $second = ($this->variance + $this->meanSeconds ** 2) * $growth;
        $third = ($this->third + 3.0 * $this->meanSeconds * $this->variance + $this->meanSeconds ** 3) * $growth ** 3;

        return new self(
            $this->meanSeconds,
            $second - $this->meanSeconds ** 2,
            $third - 3.0 * $this->meanSeconds * $second + 2.0 * $this->meanSeconds ** 3,
        );
    }

    public function standardDeviationSeconds(): float
    {
        return sqrt($this->variance);
    }
}
