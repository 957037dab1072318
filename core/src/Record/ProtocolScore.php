<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** A score and how it came about. */
final readonly class ProtocolScore
{
    /** @param  list<string>  $lines  a line for each penalty that was given */
    public function __construct(public float $timeSeconds, public float $penaltySeconds, public array $lines)
    {
    }

    /** Seconds, to a tenth. */
    public function seconds(): float
    {
        return round($this->timeSeconds + $this->penaltySeconds, 1);
    }
}
