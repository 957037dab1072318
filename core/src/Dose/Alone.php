<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Shared\Memo;

/** A dose for one player alone: all goes and the rests between them. */
final class Alone
{
    public static function meanSeconds(Dose $dose, Pace $pace): float
    {
        return $dose->ownTime($pace, null, new Memo)->mean() + max(0, $dose->goes() - 1) * $dose->restSeconds();
    }
}
