<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What a kind of mark says of itself, once: which way it gets better, its words, and the numbers it can have. */
final readonly class Measure
{
    /**
     * @param  string  $unit  what the number counts, as written after it
     * @param  string  $subject  what a refusal begins with
     * @param  float  $step  the smallest difference the number can show
     * @param  float  $most  beyond this a number is taken for a slip of the thumb
     */
    private function __construct(
        public Better $better,
        public string $unit,
        public string $subject,
        public float $step,
        public float $least,
        public float $most,
    ) {
    }

    public static function count(Better $better, string $unit, string $subject, int $least, int $most): self
    {
        return new self($better, $unit, $subject, 1.0, (float) $least, (float) $most);
    }

    /** Times, distances and points, in tenths. */
    public static function inTenths(Better $better, string $unit, string $subject, float $least, float $most): self
    {
        return new self($better, $unit, $subject, 0.1, $least, $most);
    }
}
