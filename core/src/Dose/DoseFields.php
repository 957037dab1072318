<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/** The fields of a dose as files and the interface write them; what is missing or of another kind is refused by its name. */
final readonly class DoseFields
{
    /** @param  array<array-key, mixed>  $fields */
    public function __construct(private array $fields)
    {
    }

    /** @throws InvalidDose */
    public function whole(string $name): int
    {
        $value = $this->fields[$name] ?? null;

        return is_int($value) ? $value : throw InvalidDose::at("dose.{$name}", 'This must be a whole number.');
    }

    /** @throws InvalidDose */
    public function seconds(string $name): float
    {
        return $this->number($name, 'This must be a number of seconds.');
    }

    /**
     * @return float|null null where nothing is said
     *
     * @throws InvalidDose
     */
    public function limit(): ?float
    {
        return isset($this->fields['limitSeconds']) ? $this->number('limitSeconds', 'This must be a number of seconds.') : null;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  T  $usual  where nothing is said
     * @return T
     *
     * @throws InvalidDose
     */
    public function choice(string $name, string $enum, \BackedEnum $usual): \BackedEnum
    {
        $value = $this->fields[$name] ?? $usual->value;

        return (is_string($value) ? $enum::tryFrom($value) : null)
            ?? throw InvalidDose::at("dose.{$name}", 'Choose one of '.implode(', ', array_column($enum::cases(), 'value')).'.');
    }

    /** @throws InvalidDose */
    public function minutes(string $name): float
    {
        return $this->number($name, 'This must be a number of minutes.');
    }

    /** @throws InvalidDose */
    public function yes(string $name): bool
    {
        return match ($this->fields[$name] ?? null) {
            1, true => true,
            0, false => false,
            default => throw InvalidDose::at("dose.{$name}", 'Say yes or no.'),
        };
    }

    /** @throws InvalidDose */
    public function sides(): DoseSides
    {
        $value = $this->fields['sides'] ?? null;

        return (is_string($value) ? DoseSides::tryFrom($value) : null)
            ?? throw InvalidDose::at('dose.sides', 'Choose the feet: each, alternating, both, right, left, strong or weaker.');
    }

    /**
     * @return list<Tempo> from words with a space between, such as "learn match"; none where nothing is said
     *
     * @throws InvalidDose
     */
    public function tempos(): array
    {
        $words = is_string($this->fields['tempos'] ?? '') ? trim($this->fields['tempos'] ?? '') : '?';

        return $words === '' ? [] : array_map(
            static fn (string $word): Tempo => Tempo::tryFrom($word)
                ?? throw InvalidDose::at('dose.tempos', 'The tempo of a length is learn, steady or match.'),
            explode(' ', $words),
        );
    }

    /** @throws InvalidDose */
    public function pattern(): SetsAndRest
    {
        return SetsAndRest::of($this->whole('sets'), $this->seconds('restSeconds'), $this->sides());
    }

    private function number(string $name, string $refusal): float
    {
        $value = $this->fields[$name] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : throw InvalidDose::at("dose.{$name}", $refusal);
    }
}
