<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A list of small records, each with these fields and no other; one rule in place of wildcard rules, which are slow. */
final readonly class RowsOf implements ValidationRule
{
    private const LONGEST = 300;

    /** @param  array<string, string|list<string>>  $fields  name → int, string, string? for one that may be null, or the values allowed */
    public function __construct(private array $fields)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        foreach (array_values(is_array($value) ? $value : []) as $i => $row) {
            if (! is_array($row) || array_diff(array_keys($row), array_keys($this->fields)) !== []) {
                $fail("{$attribute}.{$i}", 'Give '.implode(', ', array_keys($this->fields)).' and nothing else.');

                continue;
            }
            foreach ($this->fields as $field => $kind) {
                if (! self::isOf($row[$field] ?? null, $kind)) {
                    $fail(
                        "{$attribute}.{$i}.{$field}",
                        is_array($kind)
                            ? 'Choose one of '.implode(', ', $kind).'.'
                            : ($kind === 'int' ? 'Enter a whole number.' : 'Enter one to '.self::LONGEST.' letters.'),
                    );
                }
            }
        }
    }

    /** @param  string|list<string>  $kind */
    private static function isOf(mixed $value, string|array $kind): bool
    {
        $isText = is_string($value) && trim($value) !== '' && mb_strlen($value) <= self::LONGEST;

        return match (true) {
            is_array($kind) => in_array($value, $kind, true),
            $kind === 'int' => is_int($value),
            $kind === 'string?' => $value === null || $isText,
            default => $isText,
        };
    }
}
