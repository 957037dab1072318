<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Statistics\SlowestWorker;

/**
 * Trips of the layout, one way or there and back, uncounted inside: a lap one way is not a lap there and back, so the dose says
 * which. A set ends with its slowest worker.
 */
final readonly class LengthsDose implements Dose
{
    use InSets;

    private function __construct(private int $lengths, private bool $andBack, private SetsAndRest $pattern)
    {
    }

    /** @throws InvalidDose If lengths are outside 1 to 100. */
    public static function of(int $lengths, bool $andBack, SetsAndRest $pattern): self
    {
        return new self(DoseLimits::whole('lengths', 'Lengths', $lengths, 1, 100), $andBack, $pattern);
    }

    public function kind(): string
    {
        return 'lengths';
    }

    public function window(): array
    {
        return ['kind' => 'lengths', 'lengths' => $this->lengths, 'andBack' => $this->andBack ? 1 : 0];
    }

    public function turnTime(array $workers): DurationEstimate
    {
        $seconds = $this->trips() * max(array_map(static fn (Pace $pace): float => $pace->secondsPerRep, $workers));
        [$mean, $variance, $third] = SlowestWorker::moments(count($workers), Pace::COEFFICIENT_OF_VARIATION);

        return $this->pattern->around(DurationEstimate::ofMoments($mean, $variance, $third)->scaled($seconds));
    }

    public function expectedReps(Pace $pace): float
    {
        return (float) ($this->pattern->sets * $this->trips());
    }

    private function trips(): int
    {
        return $this->lengths * ($this->andBack ? 2 : 1);
    }
}
