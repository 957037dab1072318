<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Support\Facades\Vite;

/** What asks for the first answers: the one script that stands in a page, as a file of its own would come after the libraries. */
final class EarlyScript
{
    public static function text(): string
    {
        return trim(Vite::content('resources/js/early.ts', 'build-early'));
    }

    /** How a policy names it, by what it says: no other script in a page runs. */
    public static function source(): string
    {
        return "'sha256-".base64_encode(hash('sha256', self::text(), binary: true))."'";
    }
}
