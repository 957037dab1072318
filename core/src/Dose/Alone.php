<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Shared\Memo;

/** A dose for one player alone: all goes and the rests between them. */
final class Alone
{
    public static function meanSeconds(Dose $dose, Pace $pace, Memo $memo = new Memo): float
    {
        $what = json_encode($dose->fields(), JSON_THROW_ON_ERROR);

        return max(0, $dose->goes() - 1) * $dose->restSeconds() + $memo->of(
            "alone {$what} {$pace->secondsPerRep} {$pace->alpha()} {$pace->beta()} {$pace->fetchSeconds}",
            static fn (): float => $dose->played($pace, null, $memo)->meanSeconds,
        );
    }
}
