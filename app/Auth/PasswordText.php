<?php

declare(strict_types=1);

namespace App\Auth;

/** bcrypt reads 72 bytes and stops at a null byte: what lies beyond would count for nothing without anybody being told. */
final class PasswordText
{
    private const MOST_BYTES = 72;

    public static function canBeHashed(string $password): bool
    {
        return strlen($password) <= self::MOST_BYTES && ! str_contains($password, "\0");
    }
}
