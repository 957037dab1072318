<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use LogicException;

/** Holds what is given to what the class itself says can be carried out. */
trait HeldToLimits
{
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
        foreach (self::asks() as $field) {
            if ($field->name === $name) {
                return $field->held($value);
            }
        }

        throw new LogicException("This dose asks for no {$name}.");
    }
}
