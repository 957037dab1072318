<?php

declare(strict_types=1);

namespace App\Rules;

use App\Exchange\Import\DeviceInstant;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

final class Instant implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || DeviceInstant::tryFrom($value) === null) {
            $fail('This must be a day and time such as 2026-03-12T18:00:00Z.');
        }
    }
}
