<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Club;
use App\Models\User;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Shared\CalendarDate;
use LogicException;

/** Turns instants into the club's own days and clock times. */
final readonly class ClubDay
{
    private function __construct(private string $timeZone)
    {
    }

    public static function of(Club $club): self
    {
        return new self($club->time_zone);
    }

    public static function ofUser(?User $user): self
    {
        return self::of($user->club ?? throw new LogicException('Nobody is signed in.'));
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
}
