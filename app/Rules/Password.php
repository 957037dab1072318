<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** bcrypt reads 72 bytes and stops at a null byte: what lies beyond would count for nothing without anybody being told. */
final class Password implements ValidationRule
{
    public const MOST_BYTES = 72;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || ! self::canBeHashed($value)) {
            $fail('At most 72 letters; with accents or signs a few less.');
        }
    }

    public static function canBeHashed(string $password): bool
    {
        return strlen($password) <= self::MOST_BYTES && ! str_contains($password, "\0");
    }
}
