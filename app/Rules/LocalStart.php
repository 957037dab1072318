<?php

declare(strict_types=1);

namespace App\Rules;

use App\Exchange\Import\DeviceInstant;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A day and a time by the club's clock, without a zone: a day that exists, in a year in which anybody trains. */
final class LocalStart implements ValidationRule
{
    private const SHAPE = '/\A(\d{4})-(\d\d)-(\d\d)T([01]\d|2[0-3]):[0-5]\d\z/';

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $isStart = is_string($value) && preg_match(self::SHAPE, $value, $parts) === 1
            && DeviceInstant::isDay((int) $parts[1], (int) $parts[2], (int) $parts[3]);
        if (! $isStart) {
            $fail('Enter a day and a time, in a year from 2000 to 2099.');
        }
    }
}
