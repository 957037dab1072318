<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A list of whole numbers, such as ids. One rule for the list: a wildcard rule costs a pass of the validator for each entry. */
final class WholeNumbers implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        foreach (is_array($value) ? $value : [] as $one) {
            if (! is_int($one)) {
                $fail('This must be a list of whole numbers.');

                return;
            }
        }
    }
}
