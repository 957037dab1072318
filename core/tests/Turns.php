<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Quantiles;

/** Players side by side, each with a ball: over when the slowest is. */
final class Turns
{
    /** @param  non-empty-list<Pace>  $workers */
    public static function of(Dose $dose, array $workers): Quantiles
    {
        $memo = new Memo;

        return Quantiles::largest(array_map(fn (Pace $pace): Quantiles => $dose->played($pace, null, $memo)->inOrder(), $workers))
            ->plus(Quantiles::fixed(($dose->goes() - 1) * $dose->restSeconds()));
    }
}
