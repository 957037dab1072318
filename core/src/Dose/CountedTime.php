<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Statistics\CountDistribution;

/** A time that goes by a count: seconds that pass in any case, and seconds for each miss. */
final readonly class CountedTime
{
    private function __construct(public float $fixedSeconds, public float $secondsEach, public CountDistribution $misses)
    {
    }

    public static function of(float $fixedSeconds, float $secondsEach, CountDistribution $misses): self
    {
        return new self($fixedSeconds, $secondsEach, $misses);
    }

    /** One after the other; null where a miss costs more in one than in the other, so that their misses cannot be added up. */
    public function tryPlus(self $other): ?self
    {
        return $this->secondsEach === $other->secondsEach
            ? new self($this->fixedSeconds + $other->fixedSeconds, $this->secondsEach, $this->misses->plus($other->misses))
            : null;
    }

    public function estimate(): DurationEstimate
    {
        return DurationEstimate::ofMoments(...$this->misses->moments())
            ->scaled($this->secondsEach)
            ->plus(DurationEstimate::fixed($this->fixedSeconds));
    }
}
