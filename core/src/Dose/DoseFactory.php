<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/** Builds a dose from its fields as files and the interface write them. */
final class DoseFactory
{
    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws InvalidDose If the kind is unknown, or a field is missing or cannot be carried out.
     */
    public static function fromFields(array $fields): Dose
    {
        return match ($fields['kind'] ?? null) {
            'timed' => TimedDose::of(
                self::seconds($fields, 'workSeconds'),
                self::whole($fields, 'sets'),
                self::seconds($fields, 'restSeconds'),
                self::sides($fields),
            ),
            'reps' => RepsDose::of(
                self::whole($fields, 'reps'),
                self::whole($fields, 'sets'),
                self::seconds($fields, 'restSeconds'),
                self::sides($fields),
            ),
            'quota' => QuotaDose::of(self::whole($fields, 'good'), self::seconds($fields, 'restSeconds'), self::sides($fields)),
            'race' => RaceDose::of(
                self::whole($fields, 'reps'),
                self::whole($fields, 'sets'),
                self::seconds($fields, 'restSeconds'),
                self::sides($fields),
            ),
            'lengths' => LengthsDose::of(
                self::whole($fields, 'lengths'),
                self::yes($fields, 'andBack'),
                self::pattern($fields),
                self::tempos($fields),
            ),
            'collective' => CollectiveDose::of(self::whole($fields, 'total'), self::yes($fields, 'onlyGood'), self::pattern($fields)),
            'streak' => StreakDose::of(self::whole($fields, 'goal'), self::pattern($fields)),
            'tries' => TriesDose::of(self::whole($fields, 'balls'), self::yes($fields, 'untilHit'), self::pattern($fields)),
            'free' => FreeDose::of(self::minutes($fields), self::sides($fields)),
            default => throw InvalidDose::because(
                'dose.kind',
                'The dose must be timed, reps, lengths, quota, collective, streak, race, tries or free.',
            ),
        };
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function pattern(array $fields): SetsAndRest
    {
        return SetsAndRest::of(self::whole($fields, 'sets'), self::seconds($fields, 'restSeconds'), self::sides($fields));
    }

    /**
     * @param  array<array-key, mixed>  $fields
     * @return list<Tempo> from words with a space between, such as "learn match"
     */
    private static function tempos(array $fields): array
    {
        $words = is_string($fields['tempos'] ?? '') ? trim($fields['tempos'] ?? '') : '?';

        return $words === '' ? [] : array_map(
            static fn (string $word): Tempo => Tempo::tryFrom($word) ?? throw InvalidDose::because(
                'dose.tempos',
                'The tempo of a length is learn, steady or match.',
            ),
            explode(' ', $words),
        );
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function minutes(array $fields): float
    {
        $value = $fields['minutes'] ?? null;

        return is_int($value) || is_float($value)
            ? (float) $value
            : throw InvalidDose::because('dose.minutes', 'This must be a number of minutes.');
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function yes(array $fields, string $name): bool
    {
        return match ($fields[$name] ?? null) {
            1, true => true,
            0, false => false,
            default => throw InvalidDose::because("dose.{$name}", 'Say yes or no.'),
        };
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function whole(array $fields, string $name): int
    {
        $value = $fields[$name] ?? null;

        return is_int($value) ? $value : throw InvalidDose::because("dose.{$name}", 'This must be a whole number.');
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function seconds(array $fields, string $name): float
    {
        $value = $fields[$name] ?? null;

        return is_int($value) || is_float($value)
            ? (float) $value
            : throw InvalidDose::because("dose.{$name}", 'This must be a number of seconds.');
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function sides(array $fields): DoseSides
    {
        $value = $fields['sides'] ?? null;

        return (is_string($value) ? DoseSides::tryFrom($value) : null)
            ?? throw InvalidDose::because('dose.sides', 'Choose the feet: each, alternating, both, right, left, strong or weaker.');
    }
}
