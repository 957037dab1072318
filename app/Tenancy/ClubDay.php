<?php

declare(strict_types=1);

namespace App\Tenancy;

use Carbon\CarbonImmutable;
use FleetSparrow\Core\Season\SeasonWeek;
use FleetSparrow\Core\Shared\CalendarDate;

/** Turns instants into the club's own days and clock times. */
final readonly class ClubDay
{
    /** @param  int<1, 7>  $weekStartsOn  1 is Monday */
    private function __construct(public string $timeZone, public int $weekStartsOn)
    {
    }

    /** @param  int<1, 7>  $weekStartsOn  1 is Monday */
    public static function of(string $timeZone, int $weekStartsOn): self
    {
        return new self($timeZone, $weekStartsOn);
    }

    public function today(): CalendarDate
    {
        return $this->on(CarbonImmutable::now());
    }

    public function on(CarbonImmutable $instant): CalendarDate
    {
        return CalendarDate::fromIso($instant->setTimezone($this->timeZone)->format('Y-m-d'));
    }

    /** Local date and time without a zone, as the coach reads it on the wall. */
    public function local(CarbonImmutable $instant): string
    {
        return $instant->setTimezone($this->timeZone)->format('Y-m-d\TH:i');
    }

    public function instant(string $local): CarbonImmutable
    {
        return CarbonImmutable::parse($local, $this->timeZone)->utc();
    }

    /** Which week of the season today is; null before the season. */
    public function seasonWeek(CarbonImmutable $seasonStartsOn): ?int
    {
        return SeasonWeek::number(CalendarDate::fromIso($seasonStartsOn->format('Y-m-d')), $this->today(), $this->weekStartsOn);
    }

    /**
     * When the first of some days begins and the last is over.
     *
     * @return array{CarbonImmutable, CarbonImmutable}
     */
    public function instants(string $from, string $until): array
    {
        return [$this->instant("{$from}T00:00"), $this->instant(CalendarDate::fromIso($until)->plusDays(1)->iso().'T00:00')];
    }

    /** Whether an instant ahead lies in this week, the next or a later one. */
    public function week(CarbonImmutable $instant): string
    {
        $days = SeasonWeek::startOf($this->today(), $this->weekStartsOn)->daysUntil(
            SeasonWeek::startOf($this->on($instant), $this->weekStartsOn),
        );

        return match (true) {
            $days <= 0 => 'this',
            $days === 7 => 'next',
            default => 'later',
        };
    }
}
