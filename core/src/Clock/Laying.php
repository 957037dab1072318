<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

/** Who lays a layout out and when, and what the session gives up for it: nothing before the start, little where a helper does it. */
final readonly class Laying
{
    /**
     * @param  float  $handSeconds  what laying it takes, before the coach's own times are known
     * @param  float  $freeSeconds  of these, in which others work meanwhile
     * @param  bool  $isBeside  whether what stood before still stands while this is laid
     * @param  string  $size  in words, where it goes by who comes
     */
    private function __construct(
        public SetUp $setUp,
        public LaidWhen $when,
        public float $handSeconds,
        public float $freeSeconds = 0.0,
        public bool $isBeside = false,
        public string $size = '',
    ) {
    }

    /** @param  string  $size  in words, where it goes by who comes */
    public function sized(string $size): self
    {
        return new self($this->setUp, $this->when, $this->handSeconds, $this->freeSeconds, $this->isBeside, $size);
    }

    public static function before(SetUp $setUp): self
    {
        return new self($setUp, LaidWhen::Before, 0.0);
    }

    public static function between(SetUp $setUp, float $markerSeconds): self
    {
        return new self($setUp, LaidWhen::Between, $setUp->touched() * $markerSeconds);
    }

    /** @param  float  $freeSeconds  in which a helper has nothing else to do */
    public static function meanwhile(SetUp $setUp, float $markerSeconds, float $freeSeconds, bool $isBeside): self
    {
        return new self($setUp, LaidWhen::Meanwhile, $setUp->touched() * $markerSeconds, $freeSeconds, $isBeside);
    }

    /**
     * Seconds in which everybody waits for it.
     *
     * @param  float  $factor  how this coach's own times run against the planned ones
     */
    public function seconds(float $factor = 1.0): float
    {
        return max(0.0, $this->handSeconds * $factor - $this->freeSeconds);
    }

    public function sentence(float $markerSeconds): string
    {
        return rtrim("{$this->setUp->sentence($markerSeconds)} {$this->words()}");
    }

    /** What whoever lays it out has to know; empty where it is laid while everybody waits, at the size of the drawing. */
    public function words(): string
    {
        $rest = (int) round($this->seconds());
        $when = match (true) {
            $this->setUp->touched() === 0 || $this->when === LaidWhen::Between => '',
            $this->when === LaidWhen::Before => 'It is laid before the start.',
            $rest > 0 => "A helper begins meanwhile; {$rest} s are left over.",
            default => 'A helper lays it meanwhile.',
        };

        return trim($when.($this->size === '' ? '' : " For those coming {$this->size}."));
    }
}
