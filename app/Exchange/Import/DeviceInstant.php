<?php

declare(strict_types=1);

namespace App\Exchange\Import;

use DateTimeImmutable;

/** Instants as devices send them: ISO 8601 with the zone, on a day that exists, in a year in which anybody trains. */
final class DeviceInstant
{
    private const SHAPE = '/\A(\d{4})-(\d\d)-(\d\d)T([01]\d|2[0-3]):[0-5]\d:[0-5]\d(\.\d{1,6})?(Z|[+-]\d\d:\d\d)\z/';

    public static function tryFrom(string $text): ?DateTimeImmutable
    {
        if (preg_match(self::SHAPE, $text, $parts) !== 1 || ! self::isDay((int) $parts[1], (int) $parts[2], (int) $parts[3])) {
            return null;
        }

        return new DateTimeImmutable($text);
    }

    /** Year 1 and year 9999 are slips of a finger, and the database or a zone's table cannot hold either. */
    public static function isDay(int $year, int $month, int $day): bool
    {
        return $year >= 2000 && $year < 2100 && checkdate($month, $day, $year);
    }
}
