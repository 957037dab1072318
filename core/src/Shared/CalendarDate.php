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
            ?? throw InvalidValue::because('date.invalid', "\"{$text}\" is not a date such as 2025-03-09.");
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
}
