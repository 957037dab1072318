<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Caution;

use FleetSparrow\Core\Shared\Earlier;
use FleetSparrow\Core\Shared\Evidence;

/**
 * Whether a session makes a week much fuller than the four before it: the last seven days with the session, against the mean of
 * the four weeks before; nothing is said until four weeks exist. Caution over 1.5 times (default; the ratio is debated).
 */
final class LoadJump
{
    public const CAUTION_OVER = 1.5;

    private const WEEKS = 4;

    /** How the ratios are known. */
    public static function evidence(?float $touches, ?float $strikes): Evidence
    {
        $said = static fn (string $what, ?float $ratio): string => $ratio === null
            ? "{$what}: nothing is said until there are four weeks that were not empty."
            : sprintf('%s: %.2f times; a caution from %.1f on.', $what, $ratio, self::CAUTION_OVER);

        return new Evidence(
            'What one player had in the last seven days, on average of those who came and as the sessions were planned, against the '
                .'mean of the four weeks before those.',
            [$said('Touches', $touches), $said('Strikes', $strikes)],
            self::WEEKS + 1,
            'This tool\'s own default; the ratio is debated.',
        );
    }

    /**
     * @param  float  $planned  touches, or strikes, of the session
     * @param  list<Earlier>  $before  earlier sessions, days before this one
     * @return float|null  this week ÷ the mean of the four before; null until four weeks exist, or when they were empty
     */
    public static function ratio(float $planned, array $before): ?float
    {
        $weeks = array_fill(0, self::WEEKS + 1, 0.0);
        $oldest = 0;
        foreach ($before as $one) {
            $oldest = max($oldest, $one->daysAgo);
            $week = intdiv($one->daysAgo, 7);
            if ($one->daysAgo >= 0 && $week <= self::WEEKS) {
                $weeks[$week] += $one->amount;
            }
        }
        $mean = array_sum(array_slice($weeks, 1)) / self::WEEKS;

        return $oldest < 7 * self::WEEKS || $mean <= 0.0 ? null : ($weeks[0] + $planned) / $mean;
    }
}
