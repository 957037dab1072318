<?php

declare(strict_types=1);

namespace App\Exchange\Export;

use App\Models\TrainingSession;
use Sabre\VObject\Component\VCalendar;

/** A session for a calendar (iCalendar, RFC 5545): its time in UTC, its place and its running order; no child's name. */
final class CalendarFile
{
    public static function of(TrainingSession $session, string $host): string
    {
        // The library is older than PHP 8.2 and says so at every turn.
        $level = error_reporting(error_reporting() & ~E_DEPRECATED);
        try {
            $calendar = new VCalendar(['PRODID' => '-//Fleet Sparrow//EN']);
            $calendar->add('VEVENT', [
                'UID' => "session-{$session->id}@{$host}",
                'SEQUENCE' => $session->version,
                'DTSTAMP' => $session->updated_at?->utc()->toDateTimeImmutable() ?? $session->starts_at_utc->toDateTimeImmutable(),
                'DTSTART' => $session->starts_at_utc->utc()->toDateTimeImmutable(),
                'DTEND' => $session->starts_at_utc->utc()->addMinutes($session->slot_minutes)->toDateTimeImmutable(),
                'SUMMARY' => "{$session->title} ({$session->squad->name})",
                'LOCATION' => $session->place,
                'DESCRIPTION' => implode("\n", $session->blocks->pluck('title')->all()),
            ]);

            return $calendar->serialize();
        } finally {
            error_reporting($level);
        }
    }
}
