<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What one count is: dose, target and touches follow from it. */
enum CountUnit: string
{
    case Rep = 'rep';
    case Touch = 'touch';
    case Pair = 'pair';
    case Lap = 'lap';

    public function words(): string
    {
        return match ($this) {
            self::Rep => 'each rep',
            self::Touch => 'each touch',
            self::Pair => 'each pair of touches',
            self::Lap => 'each lap',
        };
    }

    /** @param  float  $contacts  of one rep */
    public function perRep(float $contacts): float
    {
        return match (true) {
            $contacts <= 0.0 || $this === self::Rep || $this === self::Lap => 1.0,
            $this === self::Pair => $contacts / 2.0,
            default => $contacts,
        };
    }
}
