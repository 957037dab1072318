<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Shared\Length;

/** What can be laid out at all: lengths from 10 cm to 120 m (the longest pitch of the Laws of the Game), 2 to 60 markers. */
final class Limits
{
    /** Room left round a station, in millimetres; common practice, no source. */
    public const CLEARANCE_MILLIMETRES = 1000;

    /** @throws InvalidLayout If the length is outside 0.1 to 120 m. */
    public static function length(string $what, Length $length): Length
    {
        if ($length->tenthsOfMillimetre < 1_000 || $length->tenthsOfMillimetre > 1_200_000) {
            throw InvalidLayout::at('layout', "The {$what} must be between 0.1 and 120 m.");
        }

        return $length;
    }

    /** @throws InvalidLayout If the count is outside the limits. */
    public static function count(string $what, int $count, int $least, int $most): int
    {
        if ($count < $least || $count > $most) {
            throw InvalidLayout::at('layout', "The {$what} must be between {$least} and {$most}.");
        }

        return $count;
    }

    public static function millimetres(float $metres): int
    {
        return (int) round($metres * 1000);
    }
}
