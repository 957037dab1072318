<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

use FleetSparrow\Core\Exception\InvalidValue;

/** The middle value; of an even number, the mean of the two in the middle. */
final class Median
{
    /**
     * @param  list<float>  $values
     *
     * @throws InvalidValue If there are no values.
     */
    public static function of(array $values): float
    {
        if ($values === []) {
            throw InvalidValue::middleOfNothing();
        }
        sort($values);
        $half = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }
}
