<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\LostConnectionDetector;
use PDOException;
use Throwable;

/** Whether a fault is that the database cannot be reached, and not that it was asked something wrong. */
final class LostConnection
{
    /** Too many connections; shutting down; killed; no server on socket or port; gone away; lost while asking. (MariaDB's error codes.) */
    private const CODES = [1040, 1053, 1927, 2002, 2003, 2006, 2013, 4031];

    public static function caused(Throwable $fault): bool
    {
        if (! $fault instanceof PDOException) {
            return false;
        }
        $code = $fault->errorInfo[1] ?? $fault->getPrevious()?->getCode() ?? $fault->getCode();

        return in_array((int) $code, self::CODES, true) || in_array((int) $fault->getCode(), self::CODES, true)
            || (new LostConnectionDetector)->causedByLostConnection($fault->getPrevious() ?? $fault);
    }
}
