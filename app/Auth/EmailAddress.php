<?php

declare(strict_types=1);

namespace App\Auth;

use Illuminate\Support\Str;
use Normalizer;

/** One spelling of an e-mail address, in which accounts are kept, looked up and counted. */
final class EmailAddress
{
    /** Compatibility forms (full-width letters and the like) become plain ones, capitals small. Accents stay: they are other letters. */
    public static function canonical(string $typed): string
    {
        return Str::lower(trim((string) Normalizer::normalize($typed, Normalizer::FORM_KC)));
    }
}
