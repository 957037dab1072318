<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

use FleetSparrow\Core\Shared\CalendarDate;

/**
 * How many days of practice hang together: a missed day breaks nothing, two in a row do. Where it has come apart nothing is said of it,
 * the days stay counted. This tool's own rule.
 */
final readonly class PracticeStreak
{
    private function __construct(public int $days, public int $inAll)
    {
    }

    /**
     * Example: with three days a week, Monday, Wednesday and the next Monday hang together though Friday was missed.
     *
     * @param  list<CalendarDate>  $days  with something practised, in any order
     * @param  int<1, 7>  $aWeek  days there should be
     */
    public static function of(array $days, int $aWeek, CalendarDate $today): self
    {
        $ago = array_values(array_unique(array_map(static fn (CalendarDate $day): int => $day->daysUntil($today), $days)));
        sort($ago);
        // Days of a week lie seven over their number apart, rounded up or down; with one of them missed the two gaps are one.
        $apart = (int) ceil(7 / $aWeek) + intdiv(7, $aWeek);
        [$streak, $last] = [0, 0];
        foreach ($ago as $one) {
            if ($one - $last > $apart) {
                break;
            }
            [$streak, $last] = [$streak + 1, $one];
        }

        return new self($streak, count($ago));
    }
}
