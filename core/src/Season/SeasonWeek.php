<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

use FleetSparrow\Core\Shared\CalendarDate;

/** Counts weeks as a club does: from its own first day of the week. */
final class SeasonWeek
{
    /**
     * The first day of the week a date lies in.
     *
     * Example: `SeasonWeek::startOf(CalendarDate::fromIso('2026-03-12'), 1)->iso()` is `'2026-03-09'`.
     *
     * @param  int<1, 7>  $firstDay  1 is Monday
     */
    public static function startOf(CalendarDate $date, int $firstDay): CalendarDate
    {
        return $date->plusDays(-(($date->weekday() - $firstDay + 7) % 7));
    }

    /**
     * Which week of the season a date lies in; the week that holds the first day is week 1. Null before it.
     *
     * Example: `SeasonWeek::number(CalendarDate::fromIso('2026-03-04'), CalendarDate::fromIso('2026-03-09'), 1)` is `2`.
     *
     * @param  int<1, 7>  $firstDay  1 is Monday
     */
    public static function number(CalendarDate $seasonStart, CalendarDate $date, int $firstDay): ?int
    {
        $days = self::startOf($seasonStart, $firstDay)->daysUntil(self::startOf($date, $firstDay));

        return $days < 0 || $date->compareTo($seasonStart) < 0 ? null : intdiv($days, 7) + 1;
    }
}
