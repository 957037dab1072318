<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

/** How fast the work is meant to be: walking to learn, steady, or as in a match. */
enum Tempo: string
{
    case Learn = 'learn';
    case Steady = 'steady';
    case Match = 'match';

    /** Seconds for one rep as a multiple of the steady time; this tool's own starting values. */
    public function secondsFactor(): float
    {
        return match ($this) {
            self::Learn => 1.6,
            self::Steady => 1.0,
            self::Match => 0.8,
        };
    }
}
