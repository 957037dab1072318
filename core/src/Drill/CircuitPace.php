<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** What ends an item of a circuit. */
enum CircuitPace: string
{
    /** All wait for the last one, then everybody begins the next. */
    case Last = 'last';

    /** The coach whistles: who is early begins again, who is late writes what is reached. */
    case Clock = 'clock';

    /** Nothing: each goes through alone, and the whole ends once, with the slowest. */
    case Own = 'own';

    public function words(): string
    {
        return match ($this) {
            self::Last => 'all wait for the last',
            self::Clock => 'by the clock',
            self::Own => 'at own pace',
        };
    }

    /** @return non-empty-array<string, string> value → words, the usual one first */
    public static function choices(): array
    {
        return [
            self::Last->value => self::Last->words(),
            self::Clock->value => self::Clock->words(),
            self::Own->value => self::Own->words(),
        ];
    }
}
