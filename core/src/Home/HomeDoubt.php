<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\Slip;

/**
 * What is odd about a number a child counted alone, as a question for the coach: it is asked about and never refused for it.
 */
final class HomeDoubt
{
    /** No foot touches a ball more often in a second; common practice, no source. */
    private const TOUCHES_A_SECOND = 6.0;

    /** Nobody keeps a ball up faster for long; common practice, no source. */
    private const JUGGLES_A_SECOND = 3.0;

    /**
     * @param  float|null  $bestSoFar  from training or confirmed
     * @param  float|null  $setSeconds  of one set, where the clock ends it
     * @param  float  $dayMinutes  of the whole day at home
     * @param  float  $touchesPerCount  in one of what is counted
     * @return list<string> sentences; none where nothing is odd
     */
    public static function of(
        MarkKind $kind,
        float $value,
        ?float $bestSoFar,
        ?float $setSeconds,
        float $dayMinutes,
        float $touchesPerCount = 1.0,
    ): array {
        $doubts = [];
        $shown = self::figure($value);
        if (Slip::isLikely($bestSoFar, $value)) {
            $doubts[] = "{$shown}, and the best so far is ".self::figure((float) $bestSoFar).'.';
        }
        $isInTime = $kind === MarkKind::CountInTime && $setSeconds !== null;
        if ($isInTime && $value * $touchesPerCount > self::TOUCHES_A_SECOND * $setSeconds) {
            $doubts[] = "{$shown} in ".self::figure($setSeconds).' s is more than feet can do.';
        }
        $isInARow = $kind === MarkKind::LongestRun || $kind === MarkKind::RunningTotal;
        $minutes = $value / self::JUGGLES_A_SECOND / 60.0;
        if ($isInARow && $minutes > $dayMinutes) {
            $doubts[] = "{$shown} would take ".self::figure(ceil($minutes))
                .' minutes, and the day has '.self::figure(round($dayMinutes)).'.';
        }

        return $doubts;
    }

    private static function figure(float $value): string
    {
        return rtrim(rtrim(number_format($value, 1, '.', ','), '0'), '.');
    }
}
