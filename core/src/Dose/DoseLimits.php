<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/** What can be carried out at all: checked once, on the way in. */
final class DoseLimits
{
    /** @throws InvalidDose If the number is outside the limits. */
    public static function whole(string $field, string $what, int $value, int $least, int $most): int
    {
        if ($value < $least || $value > $most) {
            throw InvalidDose::because("dose.{$field}", "{$what} must be between {$least} and {$most}.");
        }

        return $value;
    }

    /** @throws InvalidDose If the seconds are not finite or outside the limits. */
    public static function seconds(string $field, string $what, float $value, float $least, float $most): float
    {
        if (! ($value >= $least && $value <= $most)) {
            throw InvalidDose::because("dose.{$field}", sprintf('%s must be between %g and %g seconds.', $what, $least, $most));
        }

        return $value;
    }
}
