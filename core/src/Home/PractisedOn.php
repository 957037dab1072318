<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Shared\CalendarDate;

/** The day something was practised at home, as a phone says it whose date may be wrong. */
final readonly class PractisedOn
{
    /** Zones and the hours about midnight make a phone's today and ours differ by a day. */
    private const DAYS_APART = 1;

    private const DAYS_BACK = 60;

    private function __construct(public CalendarDate $on, public bool $wasMoved)
    {
    }

    /**
     * Where the phone's own today is not ours, its days are counted back from ours. Never in the future.
     *
     * Example: a phone that says 1 January 2020 for today and for the practice, on 12 March 2026, means 12 March 2026.
     *
     * @param  CalendarDate  $said  of the practice, by the phone
     * @param  CalendarDate  $phoneToday  when it is sent, by the phone
     *
     * @throws InvalidPlan If it lies more than sixty days back.
     */
    public static function of(CalendarDate $said, CalendarDate $phoneToday, CalendarDate $today): self
    {
        $apart = $phoneToday->daysUntil($today);
        $wasMoved = abs($apart) > self::DAYS_APART;
        $on = $wasMoved ? $said->plusDays($apart) : $said;
        if ($today->daysUntil($on) > 0) {
            [$wasMoved, $on] = [$wasMoved || $today->daysUntil($on) > self::DAYS_APART, $today];
        }
        if ($on->daysUntil($today) > self::DAYS_BACK) {
            throw InvalidPlan::at('on', 'That was more than sixty days ago. Tell your coach the number.');
        }

        return new self($on, $wasMoved);
    }
}
