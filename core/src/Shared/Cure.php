<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** What one press does about a warning. */
final readonly class Cure
{
    /**
     * @param  string  $words  as written on the press
     * @param  int|null  $stations  how many there are then, for a cure of that kind
     * @param  array<string, int|float|string>|null  $dose  its fields then, for a cure of that kind
     */
    private function __construct(public CureKind $kind, public string $words, public ?int $stations, public ?array $dose = null)
    {
    }

    public static function stations(int $stations): self
    {
        return new self(CureKind::Stations, $stations === 1 ? 'Make it one station' : "Make it {$stations} stations", $stations);
    }

    public static function takeOut(): self
    {
        return new self(CureKind::TakeOut, 'Take it out', null);
    }

    public static function waterBefore(): self
    {
        return new self(CureKind::Water, 'Water before it', null);
    }

    public static function helper(): self
    {
        return new self(CureKind::Helper, 'A helper is there', null);
    }

    /** @param  array<string, int|float|string>  $dose */
    public static function dose(string $words, array $dose): self
    {
        return new self(CureKind::Dose, $words, null, $dose);
    }

    /**
     * As it was kept.
     *
     * @param  array<string, int|float|string>|null  $dose
     */
    public static function of(CureKind $kind, string $words, ?int $stations, ?array $dose): self
    {
        return new self($kind, $words, $stations, $dose);
    }
}
