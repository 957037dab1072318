<?php

declare(strict_types=1);

namespace App\Rules;

use App\Auth\PasswordText;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password that can be kept whole. */
final class Password implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || ! PasswordText::canBeHashed($value)) {
            $fail('At most 72 letters; with accents or signs a few less.');
        }
    }
}
