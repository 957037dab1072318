<?php

declare(strict_types=1);

namespace App\OpenApi;

use InvalidArgumentException;
use OpenApi\Attributes as OA;

/**
 * Reads the short words in which answers are described beside the code that makes them:
 * `int`, `number`, `string`, `bool`, `date`, `instant`, `object`, `any`, `'a'|'b'`, `Name` (a shape), each with `[]` for a list,
 * `{}` for a map by id or key, and `?` for "or null".
 */
final class Words
{
    private const PLAIN = [
        'int' => ['type' => 'integer'],
        'number' => ['type' => 'number'],
        'string' => ['type' => 'string'],
        'bool' => ['type' => 'boolean'],
        'object' => ['type' => 'object'],
        'date' => ['type' => 'string', 'format' => 'date'],
        'instant' => ['type' => 'string', 'format' => 'date-time'],
    ];

    /** @throws InvalidArgumentException If the word is not one of them. */
    public static function property(string $name, string $word): OA\Property
    {
        return self::filled(new OA\Property(property: $name), $word);
    }

    public static function items(string $word): OA\Items
    {
        return self::filled(new OA\Items(), $word);
    }

    public static function schema(string $word): OA\Schema
    {
        return self::filled(new OA\Schema(), $word);
    }

    /**
     * Set one by one: not every annotation's constructor takes every field that it has.
     *
     * @template T of OA\Schema|OA\Property|OA\Items|OA\AdditionalProperties
     *
     * @param  T  $annotation
     * @return T
     */
    private static function filled(
        OA\Schema|OA\Property|OA\Items|OA\AdditionalProperties $annotation,
        string $word,
    ): OA\Schema|OA\Property|OA\Items|OA\AdditionalProperties {
        foreach (self::fields($word) as $field => $value) {
            // @phpstan-ignore property.dynamicName (the names are those of fields() below)
            $annotation->{$field} = $value;
        }

        return $annotation;
    }

    /** @return array<string, mixed> fields of an annotation */
    private static function fields(string $word): array
    {
        return match (true) {
            str_ends_with($word, '?') => self::orNull(substr($word, 0, -1)),
            str_ends_with($word, '[]') => ['type' => 'array', 'items' => self::items(substr($word, 0, -2))],
            str_ends_with($word, '{}') => [
                'type' => 'object',
                'additionalProperties' => self::filled(new OA\AdditionalProperties(), substr($word, 0, -2)),
            ],
            $word === 'any' => [],
            str_starts_with($word, "'") => [
                'type' => 'string',
                'enum' => array_map(fn (string $one): string => trim($one, "'"), explode('|', $word)),
            ],
            isset(self::PLAIN[$word]) => self::PLAIN[$word],
            ctype_upper($word[0] ?? '') => ['ref' => "#/components/schemas/{$word}"],
            default => throw new InvalidArgumentException("\"{$word}\" describes nothing."),
        };
    }

    /** @return array<string, mixed> */
    private static function orNull(string $word): array
    {
        $fields = self::fields($word);
        if (isset($fields['enum'])) {
            return ['type' => 'string', 'nullable' => true, 'enum' => [...$fields['enum'], null]];
        }

        return isset($fields['type']) ? ['nullable' => true] + $fields : ['oneOf' => [['$ref' => $fields['ref']], ['type' => 'null']]];
    }
}
