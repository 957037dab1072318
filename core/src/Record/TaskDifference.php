<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Shared\LengthUnit;

/** Why two tasks are not one record line: each field that differs, with what it was and what it is. */
final class TaskDifference
{
    /** Parameters of layouts that are whole numbers and not lengths. */
    private const NUMBERS = [
        'markers',
        'angleDegrees',
        'perLine',
        'perCorner',
        'order',
        'clockwise',
        'balls',
        'ballCount',
        'passers',
        'serverMetres',
        'seed',
        'goalsPerEnd',
        'targets',
        'spreadDegrees',
        'levels',
        'level',
        'middleMarker',
    ];

    /**
     * @return list<string> a sentence each; none when the two are one line
     */
    public static function between(Task $before, Task $after, LengthUnit $unit): array
    {
        return $before->key === $after->key ? [] : self::differences('', $before->fields, $after->fields, $unit);
    }

    /**
     * @param  array<array-key, mixed>  $before
     * @param  array<array-key, mixed>  $after
     * @return list<string>
     */
    private static function differences(string $within, array $before, array $after, LengthUnit $unit): array
    {
        $sentences = [];
        foreach (array_unique([...array_keys($before), ...array_keys($after)]) as $field) {
            [$was, $is] = [$before[$field] ?? null, $after[$field] ?? null];
            if ($was === $is) {
                continue;
            }
            if (is_array($was) && is_array($is) && ! array_is_list($was)) {
                $sentences = [...$sentences, ...self::differences((string) $field, $was, $is, $unit)];
            } else {
                $say = static fn (mixed $value): string => self::words($within, (string) $field, $value, $unit);
                $sentences[] = self::name((string) $field)." was {$say($was)}, is {$say($is)}.";
            }
        }

        return $sentences;
    }

    /** A field's name as people say it: camel case apart, the first letter large. */
    private static function name(string $field): string
    {
        $words = (string) preg_replace(['/ ?milliseconds\z/i', '/Thousandths\z/'], '', $field);

        return ucfirst(strtolower((string) preg_replace('/(?<=[a-z])(?=[A-Z])/', ' ', $words === '' ? 'time' : $words)));
    }

    private static function words(string $within, string $field, mixed $value, LengthUnit $unit): string
    {
        return match (true) {
            is_int($value) && preg_match('/milliseconds\z/i', $field) === 1 => sprintf('%g s', $value / 1000.0),
            $value === null || $value === '' || $value === [] => 'none',
            is_bool($value) => $value ? 'yes' : 'no',
            $within === 'layout'
                && is_int($value)
                && ! in_array($field, self::NUMBERS, true) => sprintf(
                    '%g %s',
                    round($value / $unit->tenthsOfMillimetre(), 2),
                    $unit === LengthUnit::Pace ? 'paces' : $unit->value,
                ),
            is_int($value), is_float($value) => sprintf('%g', $value),
            is_string($value) => "\"{$value}\"",
            default => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        };
    }
}
