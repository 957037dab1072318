<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

use FleetSparrow\Core\Exception\InvalidValue;

/**
 * A day of training: a date with no time and no zone.
 *
 * Example: `CalendarDate::fromIso('2024-02-28')->daysUntil(CalendarDate::fromIso('2024-03-01'))` is `2`.
 */
final readonly class CalendarDate
{
    private function __construct(public int $year, public int $month, public int $day)
    {
    }

    /** @throws InvalidValue If the text is not YYYY-MM-DD or there is no such day. */
    public static function fromIso(string $text): self
    {
        return self::tryFromIso($text)
            ?? throw InvalidValue::noDate($text);
    }

    public static function tryFromIso(string $text): ?self
    {
        if (preg_match('/\A(\d{4})-(\d{2})-(\d{2})\z/', $text, $part) !== 1) {
            return null;
        }
        [$year, $month, $day] = [(int) $part[1], (int) $part[2], (int) $part[3]];

        return checkdate($month, $day, $year) ? new self($year, $month, $day) : null;
    }

    public function iso(): string
    {
        return sprintf('%04d-%02d-%02d', $this->year, $this->month, $this->day);
    }

    /** Whole days from this date to the other; negative when the other is earlier. */
    public function daysUntil(self $other): int
    {
        return $other->dayNumber() - $this->dayNumber();
    }

    /** Example: `CalendarDate::fromIso('2024-02-28')->plusDays(2)->iso()` is `'2024-03-01'`. */
    public function plusDays(int $days): self
    {
        return self::ofDayNumber($this->dayNumber() + $days);
    }

    /**
     * The ISO day of the week: 1 is Monday, 7 is Sunday.
     *
     * Example: `CalendarDate::fromIso('2024-02-29')->weekday()` is `4`.
     */
    public function weekday(): int
    {
        // Day 730486, 1 March 2000, was a Wednesday.
        return ($this->dayNumber() + 1) % 7 + 1;
    }

    public function compareTo(self $other): int
    {
        return $this->dayNumber() <=> $other->dayNumber();
    }

    /** Days in the proleptic Gregorian calendar, by counting March-first years; only differences mean anything. */
    private function dayNumber(): int
    {
        $year = $this->month > 2 ? $this->year : $this->year - 1;
        $month = ($this->month + 9) % 12;

        return 365 * $year + intdiv($year, 4) - intdiv($year, 100) + intdiv($year, 400)
            + intdiv(153 * $month + 2, 5) + $this->day;
    }

    /** The other way round: 400 years of days, then years, then months of a year that begins in March. */
    private static function ofDayNumber(int $number): self
    {
        $era = intdiv($number - 1, 146097);
        $ofEra = $number - 1 - $era * 146097;
        $yearOfEra = intdiv($ofEra - intdiv($ofEra, 1460) + intdiv($ofEra, 36524) - intdiv($ofEra, 146096), 365);
        $ofYear = $ofEra - (365 * $yearOfEra + intdiv($yearOfEra, 4) - intdiv($yearOfEra, 100));
        $marchMonth = intdiv(5 * $ofYear + 2, 153);
        $month = $marchMonth < 10 ? $marchMonth + 3 : $marchMonth - 9;

        return new self($yearOfEra + 400 * $era + ($month <= 2 ? 1 : 0), $month, $ofYear - intdiv(153 * $marchMonth + 2, 5) + 1);
    }
}
