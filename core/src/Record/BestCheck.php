<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What a new number is, against the best so far. Repeated in the run kernel; golden/best-check.json holds both to it. */
enum BestCheck: string
{
    case First = 'first';
    case Record = 'record';
    case Level = 'level';
    case Below = 'below';

    public static function of(Better $better, ?float $bestSoFar, float $value): self
    {
        return match (true) {
            $bestSoFar === null => self::First,
            $better->prefers($value, $bestSoFar) => self::Record,
            $value === $bestSoFar => self::Level,
            default => self::Below,
        };
    }
}
