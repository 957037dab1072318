<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Quantiles;

/** When a coach stops a go that would not end; the number written down is then what was reached. */
final class GoLimit
{
    /** Times the median of one alone at the drill's own pace: this tool's own value. */
    private const STOPPED_AFTER = 3.0;

    /**
     * Fixed with the plan, whoever comes.
     *
     * @param  Pace  $pace  of the drill
     * @return float|null seconds of one go, what the coach said or whole half minutes; null where none is stopped
     */
    public static function seconds(Dose $dose, Pace $pace, Memo $memo): ?float
    {
        $said = $dose->stopsAfter();
        if (! $dose->mayNotEnd() || $said !== null) {
            return $said > 0.0 ? $said : null;
        }
        $median = $memo->kept(
            'median '.(new OwnTimes($dose, null, $memo))->question($pace),
            static fn (): Quantiles => Quantiles::fixed($dose->played($pace, null, $memo, 1)->inOrder()->at(0.5)),
            Quantiles::class,
        );

        return 30.0 * ceil(self::STOPPED_AFTER * $median->mean() / 30.0);
    }
}
