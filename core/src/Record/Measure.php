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
     * @param  list<string>  $usualFor  kinds of dose of which it is the first thing to write down
     * @param  list<string>  $alsoFor  kinds of dose that can give it too
     */
    private function __construct(
        public Better $better,
        public string $unit,
        public string $subject,
        public float $step,
        public float $least,
        public float $most,
        public array $usualFor = [],
        public array $alsoFor = [],
    ) {
    }

    public static function count(Better $better, string $unit, string $subject, int $least, int $most): self
    {
        return new self($better, $unit, $subject, 1.0, (float) $least, (float) $most);
    }

    /** Times, distances and points: kept in hundredths, told apart by tenths. */
    public static function inTenths(Better $better, string $unit, string $subject, float $least, float $most): self
    {
        return new self($better, $unit, $subject, 0.1, $least, $most);
    }

    /**
     * The doses that give it.
     *
     * @param  list<string>  $usual  kinds of which it is the first thing to write down
     * @param  list<string>  $also  kinds that can give it too
     */
    public function from(array $usual, array $also = []): self
    {
        return new self(
            better: $this->better,
            unit: $this->unit,
            subject: $this->subject,
            step: $this->step,
            least: $this->least,
            most: $this->most,
            usualFor: $usual,
            alsoFor: $also,
        );
    }
}
