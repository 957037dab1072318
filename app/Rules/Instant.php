<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use DateTimeImmutable;
use Illuminate\Contracts\Validation\ValidationRule;

/** An instant as devices send it, ISO 8601 with its zone, on a day that exists, in a year in which anybody trains. */
final class Instant implements ValidationRule
{
    private const SHAPE = '/\A(\d{4})-(\d\d)-(\d\d)T([01]\d|2[0-3]):[0-5]\d:[0-5]\d(\.\d{1,6})?(Z|[+-]\d\d:\d\d)\z/';

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || self::tryFrom($value) === null) {
            $fail('This must be a day and time such as 2026-03-12T18:00:00Z.');
        }
    }

    public static function tryFrom(string $text): ?DateTimeImmutable
    {
        if (preg_match(self::SHAPE, $text, $parts) !== 1 || ! checkdate((int) $parts[2], (int) $parts[3], (int) $parts[1]) || ! self::isYear((int) $parts[1])) {
            return null;
        }

        return new DateTimeImmutable($text);
    }

    /** Year 1 and year 9999 are slips of a finger, and the database or a zone's table cannot hold either. */
    public static function isYear(int $year): bool
    {
        return $year >= 2000 && $year < 2100;
    }
}
