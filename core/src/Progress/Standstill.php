<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Shared\CalendarDate;

/**
 * Whether a player is stuck: the record has stood for three weeks or more, four later days or more did not better it (default), and the
 * days do not climb all the same. A lucky day sets a record that stands for weeks while the level is on its way, which is not being stuck.
 */
final readonly class Standstill
{
    /** As it is said to a coach. */
    public const RULE = 'Stuck where the record has stood for three weeks or more, four later days or more did not better it, and the '
        .'middle slope of the days does not climb all the same.';

    private const DAYS = 21;

    private const SESSIONS = 4;

    private function __construct(public float $value, public CalendarDate $since, public int $sessions)
    {
    }

    /** Null where nothing stands still, or what cannot be bettered does. */
    public static function of(LineReading $line): ?self
    {
        [$record, $last] = [$line->recordDay(), $line->lastDay()];
        if ($record === null || $last === null || $record->on->daysUntil($last->on) < self::DAYS) {
            return null;
        }
        $later = count(array_filter($line->days, static fn ($day): bool => $day->on->compareTo($record->on) > 0));

        return $later < self::SESSIONS || Slope::climbs($line) ? null : new self($record->best, $record->on, $later);
    }
}
