<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** In which way a number was seen in parts. */
enum PartsKind: string
{
    case Halves = 'halves';
    case Feet = 'feet';
    case Total = 'total';
    case GoodAndTried = 'good-and-tried';

    public function count(): int
    {
        return $this === self::Total ? 1 : 2;
    }

    public function words(): string
    {
        return match ($this) {
            self::Halves => 'The two halves',
            self::Feet => 'Right and left',
            self::Total => 'The total',
            self::GoodAndTried => 'Good and tried',
        };
    }
}
