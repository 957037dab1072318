<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Caution;

use FleetSparrow\Core\Shared\Earlier;

/** Headers a plan asks of one player, with those of the rolling window before it, held against the limit the squad follows. */
final class HeadersPlanned
{
    private const WEEK_DAYS = 7;

    /**
     * Headers of the session and of the rolling window before it: who has most is asked for most.
     *
     * @param  list<Earlier>  $before
     */
    public static function inWindow(float $headers, HeadingLimit $limit, array $before): float
    {
        return $headers + array_sum(array_column(self::within($limit, $before), 'amount'));
    }

    /**
     * What to say of so many headers in one session; null when nothing is to be said.
     *
     * @param  float  $headers  of the player in this session
     * @param  list<Earlier>  $before  the player's earlier sessions with headers
     */
    public static function sentence(float $headers, HeadingLimit $limit, array $before = []): ?string
    {
        if ($headers <= 0.0) {
            return null;
        }
        $within = self::within($limit, $before);
        $sum = self::inWindow($headers, $limit, $before);
        $isFine = ! $limit->isBarred && $limit->headers !== null
            && $headers <= ($limit->perSession ?? $limit->headers)
            && $sum <= $limit->headers
            && ($limit->sessions === null || count($within) < $limit->sessions);
        if ($isFine) {
            return null;
        }
        $earlier = $within === []
            ? ''
            : sprintf(
                ', after %d in %d %s of the last %d days',
                (int) ceil(array_sum(array_column($within, 'amount'))),
                count($within),
                count($within) === 1 ? 'session' : 'sessions',
                (int) $limit->days,
            );

        return sprintf(
            '%d %s a player%s. %s',
            (int) ceil($headers),
            ceil($headers) === 1.0 ? 'header' : 'headers',
            $earlier,
            $limit->sentence(),
        );
    }

    /**
     * What to say of minutes of heading practice in seven days; null when nothing is to be said.
     *
     * @param  float  $minutes  of the player in this session
     * @param  list<Earlier>  $before  minutes of earlier sessions
     */
    public static function minutes(float $minutes, HeadingLimit $limit, array $before = []): ?string
    {
        $week = array_filter($before, static fn (Earlier $one): bool => $one->daysAgo < self::WEEK_DAYS);
        $sum = $minutes + array_sum(array_column($week, 'amount'));

        return $minutes <= 0.0 || $limit->minutesPerWeek === null || $sum <= $limit->minutesPerWeek ? null : sprintf(
            '%d minutes of heading practice in %d days. %s',
            (int) ceil($sum),
            self::WEEK_DAYS,
            $limit->sentence(),
        );
    }

    /**
     * @param  list<Earlier>  $before
     * @return list<Earlier> those that count beside the session
     */
    private static function within(HeadingLimit $limit, array $before): array
    {
        return array_values(array_filter(
            $before,
            static fn (Earlier $one): bool => $one->amount > 0.0 && $one->daysAgo < ($limit->days ?? 0),
        ));
    }
}
