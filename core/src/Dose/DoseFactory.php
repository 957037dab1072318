<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/** Builds a dose from its fields as files and the interface write them. A new dose is one class, and one line here. */
final class DoseFactory
{
    /** @var array<string, class-string<PlainDose>> what each declares of itself: its name, what it asks for, how it is read */
    public const KINDS = [
        TimedDose::KIND => TimedDose::class,
        RepsDose::KIND => RepsDose::class,
        LengthsDose::KIND => LengthsDose::class,
        QuotaDose::KIND => QuotaDose::class,
        CollectiveDose::KIND => CollectiveDose::class,
        StreakDose::KIND => StreakDose::class,
        RaceDose::KIND => RaceDose::class,
        TriesDose::KIND => TriesDose::class,
        FreeDose::KIND => FreeDose::class,
    ];

    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws InvalidDose If the kind is unknown, or a field is missing or cannot be carried out.
     */
    public static function fromFields(array $fields): Dose
    {
        $kind = $fields['kind'] ?? null;
        $dose = is_string($kind) ? self::KINDS[$kind] ?? null : null;
        if ($dose === null) {
            $kinds = array_keys(self::KINDS);
            $last = array_pop($kinds);

            throw InvalidDose::because('dose.kind', 'The dose must be '.implode(', ', $kinds)." or {$last}.");
        }

        return $dose::fromFields(new DoseFields($fields));
    }
}
