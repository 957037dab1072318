<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Statistics\Quantiles;

/** How long a turn on the whistle is: constant, so that nobody waits for anybody. */
final class Whistle
{
    private const STEP_SECONDS = 15.0;

    /**
     * The median of the slowest worker, up to the next quarter of a minute: this tool's own rule. What ends by the clock stays as it is.
     *
     * Example: `Whistle::seconds(Quantiles::of([50.0, 61.0, 90.0]))` is `75.0`.
     */
    public static function seconds(Quantiles $slowest): float
    {
        return $slowest->isFixed() ? $slowest->mean() : self::STEP_SECONDS * ceil($slowest->at(0.5) / self::STEP_SECONDS);
    }
}
