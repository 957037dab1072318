<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/**
 * The kinds of dose there are; reads one from its fields as files and the interface write them.
 * A new dose is one class, and one line here.
 */
final readonly class DoseKinds
{
    private const STANDARD = [
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

    /** @param  non-empty-array<string, class-string<PlainDose>>  $classes  by the name files use, in the order a coach is offered them */
    private function __construct(public array $classes)
    {
    }

    public static function standard(): self
    {
        return new self(self::STANDARD);
    }

    /** @param  class-string<PlainDose>  $class */
    public function with(string $class): self
    {
        return new self([...$this->classes, $class::declared()->kind => $class]);
    }

    /** @return non-empty-list<DoseDeclaration> */
    public function declared(): array
    {
        return array_map(static fn (string $class): DoseDeclaration => $class::declared(), array_values($this->classes));
    }

    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws InvalidDose If the kind is unknown, or a field is missing or cannot be carried out.
     */
    public function read(array $fields): Dose
    {
        $kind = $fields['kind'] ?? null;
        $dose = is_string($kind) ? $this->classes[$kind] ?? null : null;
        if ($dose !== null) {
            return $dose::fromFields(new DoseFields($fields));
        }
        $kinds = array_keys($this->classes);
        $last = array_pop($kinds);

        throw InvalidDose::at('dose.kind', 'The dose must be '.implode(', ', $kinds)." or {$last}.");
    }
}
