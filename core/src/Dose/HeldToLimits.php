<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/** Holds what is given to what the class itself says can be carried out. */
trait HeldToLimits
{
    /** Whether a go may take for ever where chance is against it, so that a coach stops it. */
    public function mayNotEnd(): bool
    {
        return false;
    }

    public function stopsAfter(): ?float
    {
        return null;
    }

    /** @return array{limitSeconds?: float} what a coach said, where they did */
    private function limitField(): array
    {
        return $this->stopsAfter() === null ? [] : ['limitSeconds' => $this->stopsAfter()];
    }

    /**
     * @template T of int|float
     *
     * @param  string  $name  one of the fields it asks for
     * @param  T  $value
     * @return T
     *
     * @throws InvalidDose If the value is outside the field's limits.
     */
    private static function held(string $name, int|float $value): int|float
    {
        return self::declared()->field($name)->held($value);
    }
}
