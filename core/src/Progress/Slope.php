<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Statistics\Median;
use FleetSparrow\Core\Statistics\TheilSen;

/** Which way a line goes: the Theil–Sen slope of the days' medians, with an interval of nine in ten from five days on (Sen 1968). */
final readonly class Slope
{
    /** More would be last season. */
    private const DAYS = 40;

    /**
     * @param  float  $aWeek  change a week, in the unit of the number
     * @param  float|null  $low  null with fewer than five days, as high
     * @param  float  $start  where the line lies on the first day: through the median of what is left of each day, and
     * @param  float  $end  on the last
     */
    private function __construct(
        public float $aWeek,
        public ?float $low,
        public ?float $high,
        public int $days,
        public float $start,
        public float $end,
    ) {
    }

    /** Whether the days do not fall and do not stand still, but climb: over nought for better. */
    public static function climbs(LineReading $line): bool
    {
        return TheilSen::sign(self::points($line)) === ($line->kind->better() === Better::Higher ? 1 : -1);
    }

    /** Null with fewer than two days. */
    public static function of(LineReading $line): ?self
    {
        $points = self::points($line);
        $found = TheilSen::of($points);
        if ($found === null) {
            return null;
        }
        $start = Median::of(array_map(static fn (array $point): float => $point[1] - $found->slope * $point[0], $points));

        return new self(
            aWeek: 7.0 * $found->slope,
            low: $found->low === null ? null : 7.0 * $found->low,
            high: $found->high === null ? null : 7.0 * $found->high,
            days: $found->points,
            start: $start,
            end: $start + $found->slope * $points[count($points) - 1][0],
        );
    }

    /** @return list<array{float, float}> days since the first, and the middle try */
    private static function points(LineReading $line): array
    {
        $days = array_slice($line->days, -self::DAYS);

        return array_map(static fn (SessionValue $day): array => [(float) $days[0]->on->daysUntil($day->on), $day->median], $days);
    }
}
