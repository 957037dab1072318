<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

use FleetSparrow\Core\Exception\InvalidPlan;

/** The judged parts of a block's clock, in seconds: this tool's own starting values, and how the coach's own times run against them. */
final readonly class ClockRules
{
    /** Spread of the overrun that all judged parts of a session share (default). */
    public const SHARED_VARIATION = 0.1;

    /** What a squad may choose, in seconds. */
    public const CHOSEN = [
        'markerSeconds', 'explainNewSeconds', 'explainKnownSeconds', 'explainAgainSeconds', 'explainOtherSideSeconds',
        'changeOverSeconds', 'writeSeconds',
    ];

    public const MOST_SECONDS = 600.0;

    public Calibration $setUp;

    public Calibration $explain;

    public Calibration $changeOver;

    /**
     * @param  float  $markerSeconds  to touch one marker while setting up
     * @param  float  $explainNewSeconds  a drill the squad has not done in its last three sessions
     * @param  float  $explainKnownSeconds  a drill it has
     * @param  float  $explainAgainSeconds  the same once more, or a known one where the ground stays
     * @param  float  $explainOtherSideSeconds  the same on the other side
     * @param  float  $changeOverSeconds  from one turn to the next
     * @param  float  $writeSeconds  to write down one number
     * @param  float  $partVariation  coefficient of variation of each judged part
     * @param  float  $sharedVariation  coefficient of variation of the overrun all judged parts share
     */
    public function __construct(
        public float $markerSeconds = 5.0,
        public float $explainNewSeconds = 60.0,
        public float $explainKnownSeconds = 20.0,
        public float $explainAgainSeconds = 10.0,
        public float $explainOtherSideSeconds = 5.0,
        public float $changeOverSeconds = 15.0,
        public float $writeSeconds = 2.0,
        public float $partVariation = 0.25,
        public float $sharedVariation = self::SHARED_VARIATION,
        ?Calibration $setUp = null,
        ?Calibration $explain = null,
        ?Calibration $changeOver = null,
    ) {
        $this->setUp = $setUp ?? Calibration::none($partVariation);
        $this->explain = $explain ?? Calibration::none($partVariation);
        $this->changeOver = $changeOver ?? Calibration::none($partVariation);
    }

    /**
     * The defaults where nothing is chosen.
     *
     * @param  array<string, float|null>  $seconds  by their names above
     *
     * @throws InvalidPlan If one is outside 0 to 600 s.
     */
    public static function chosen(array $seconds, Calibration $setUp, Calibration $explain, Calibration $changeOver): self
    {
        $seconds = array_filter($seconds, static fn (?float $one): bool => $one !== null);
        foreach ($seconds as $name => $one) {
            if (! ($one >= 0.0 && $one <= self::MOST_SECONDS)) {
                throw InvalidPlan::at($name, 'Seconds must be between 0 and 600.');
            }
        }

        return new self(...$seconds, setUp: $setUp, explain: $explain, changeOver: $changeOver);
    }

    /** Seconds from one turn to the next, as this coach takes them. */
    public function changeSeconds(): float
    {
        return $this->changeOverSeconds * $this->changeOver->factor;
    }
}
