<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\InvalidLayout;
use LogicException;

/** Holds a whole number to what the class itself says can be laid. */
trait HoldsNumbers
{
    /**
     * @param  string  $name  one of what may be chosen
     *
     * @throws InvalidLayout If the number is outside its limits.
     */
    private static function held(string $name, int $value): int
    {
        foreach (self::chosen() as $parameter) {
            if ($parameter->name === $name) {
                return $parameter->held($value);
            }
        }

        throw new LogicException("This layout has no {$name}.");
    }
}
