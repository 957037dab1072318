<?php

declare(strict_types=1);

namespace App\Exchange;

/** The few words our schemas are written in. */
trait SchemaWords
{
    /**
     * @param  array<string, mixed>  $fields
     * @param  list<string>  $required
     * @return array<string, mixed>
     */
    private static function object(array $fields, array $required = []): array
    {
        return ['type' => 'object', 'properties' => $fields, 'required' => $required, 'additionalProperties' => false];
    }

    /** @return array<string, mixed> */
    private static function text(int $most): array
    {
        return ['type' => 'string', 'minLength' => 1, 'maxLength' => $most];
    }

    /** @return array<string, mixed> */
    private static function slug(): array
    {
        return ['type' => 'string', 'pattern' => '^[a-z0-9]+(-[a-z0-9]+)*$', 'maxLength' => 80];
    }

    /** @return array<string, mixed> */
    private static function number(float $least, float $most): array
    {
        return ['type' => 'number', 'minimum' => $least, 'maximum' => $most];
    }

    /** @return array<string, mixed> */
    private static function whole(int $least, int $most): array
    {
        return ['type' => 'integer', 'minimum' => $least, 'maximum' => $most];
    }

    /**
     * @param  list<string>  $values
     * @return array<string, mixed>
     */
    private static function oneOf(array $values): array
    {
        return ['enum' => $values];
    }

    /**
     * @param  class-string<\BackedEnum>  $enum
     * @return array<string, mixed>
     */
    private static function enum(string $enum): array
    {
        return self::oneOf(array_map(fn (\BackedEnum $one): string => (string) $one->value, $enum::cases()));
    }
}
