<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

use FleetSparrow\Core\Caution\LoadJump;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Draw;
use FleetSparrow\Core\Shared\Earlier;

/**
 * Four weeks ahead, played many times on the same rules as the weeks behind: each evening is one of the last eight, drawn by lot, on the
 * weekdays the squad trains. So the range is that of this squad's own evenings; it knows of no plan, no rain and no holiday.
 */
final readonly class PlayedForward
{
    public const WEEKS = 4;

    private const PLAYS = 500;

    private const EVENINGS = 8;

    /**
     * @param  array{low: float, middle: float, high: float}  $touches  of one player in the four weeks: 1 in 10, 5 in 10, 9 in 10
     * @param  array{low: float, middle: float, high: float}|null  $weakerShare  of touches with a known foot; null where none is known
     * @param  array{low: float, middle: float, high: float}|null  $load  the fullest week against the mean of the four before it
     * @param  array<string, float>  $stale  family → in how many of all plays it is not met for three weeks at the end, the likeliest first
     */
    private function __construct(
        public WhatIf $what,
        public int $evenings,
        public array $touches,
        public ?array $weakerShare,
        public ?array $load,
        public array $stale,
    ) {
    }

    /**
     * @param  list<PlayedFamily>  $played  of the season
     * @return self|null null before there are two evenings to draw from
     */
    public static function of(array $played, CalendarDate $today, WhatIf $what, int $seed): ?self
    {
        // A day at home is no evening of the squad.
        $played = array_values(array_filter($played, static fn (PlayedFamily $one): bool => ! $one->isHome));
        $sessions = [];
        foreach ($played as $one) {
            $sessions[$one->session][] = $one;
        }
        uasort($sessions, static fn (array $a, array $b): int => $a[0]->on->compareTo($b[0]->on));
        $last = array_slice($sessions, -self::EVENINGS);
        if (count($last) < 2) {
            return null;
        }
        $days = self::days($last, $today, $what);
        $before = self::evenings($sessions, $today);
        [$touches, $shares, $loads, $stale] = [[], [], [], []];
        for ($play = 0; $play < self::PLAYS; $play++) {
            $ahead = [];
            foreach ($days as ['day' => $day, 'isWeaker' => $isWeaker]) {
                $drawn = (int) floor(Draw::share($seed, "{$play} {$day}") * count($last));
                $ahead[] = ['day' => $day, 'isWeaker' => $isWeaker, 'families' => $last[$drawn]];
            }
            $one = self::play($ahead);
            $touches[] = $one['touches'];
            $shares = $one['footed'] > 0.0 ? [...$shares, $one['weaker'] / $one['footed']] : $shares;
            $load = self::fullest($before, $ahead);
            $loads = $load === null ? $loads : [...$loads, $load];
            foreach (self::stale($played, $ahead, $today) as $family) {
                $stale[$family] = ($stale[$family] ?? 0) + 1;
            }
        }
        arsort($stale);
        assert($touches !== []);

        return new self(
            what: $what,
            evenings: count($days),
            touches: self::range($touches),
            weakerShare: $shares === [] ? null : self::range($shares),
            load: $loads === [] ? null : self::range($loads),
            stale: array_map(static fn (int $plays): float => $plays / self::PLAYS, $stale),
        );
    }

    /**
     * On which of the days ahead there is an evening: on the weekdays of the last ones.
     *
     * @param  non-empty-list<non-empty-list<PlayedFamily>>  $last
     * @return list<array{day: int, isWeaker: bool}> days from today, from 1
     */
    private static function days(array $last, CalendarDate $today, WhatIf $what): array
    {
        $weekdays = array_values(array_unique(array_map(static fn (array $session): int => $session[0]->on->weekday(), $last)));
        sort($weekdays);
        if ($what === WhatIf::OneEveningFewer && count($weekdays) > 1) {
            array_pop($weekdays);
        }
        $days = [];
        for ($day = 1; $day <= 7 * self::WEEKS; $day++) {
            $weekday = $today->plusDays($day)->weekday();
            $isAway = $what === WhatIf::TwoWeeksAway && $day <= 14;
            if (! $isAway && in_array($weekday, $weekdays, true)) {
                $days[] = ['day' => $day, 'isWeaker' => false];
            }
            // The evening more is on a day that is free.
            if ($what === WhatIf::OtherFootEvening && $weekday === self::free($weekdays)) {
                $days[] = ['day' => $day, 'isWeaker' => true];
            }
        }

        return $days;
    }

    /**
     * @param  list<int>  $weekdays
     * @return int the first weekday without an evening; Sunday where there is none
     */
    private static function free(array $weekdays): int
    {
        return array_values(array_diff(range(1, 7), $weekdays))[0] ?? 7;
    }

    /**
     * What each evening behind had of touches.
     *
     * @param  array<int, non-empty-list<PlayedFamily>>  $sessions
     * @return list<Earlier>
     */
    private static function evenings(array $sessions, CalendarDate $today): array
    {
        return array_values(array_map(
            static fn (array $session): Earlier => new Earlier($session[0]->on->daysUntil($today), self::touches($session)),
            $sessions,
        ));
    }

    /** @param  list<PlayedFamily>  $families */
    private static function touches(array $families): float
    {
        return array_sum(array_map(static fn (PlayedFamily $one): float => $one->touches->total(), $families));
    }

    /**
     * @param  list<array{day: int, isWeaker: bool, families: non-empty-list<PlayedFamily>}>  $ahead
     * @return array{touches: float, weaker: float, footed: float}
     */
    private static function play(array $ahead): array
    {
        [$touches, $weaker, $footed] = [0.0, 0.0, 0.0];
        foreach ($ahead as ['isWeaker' => $isWeaker, 'families' => $families]) {
            foreach ($families as $one) {
                $touches += $one->touches->total();
                $weaker += $isWeaker ? $one->footed : $one->weaker;
                $footed += $one->footed;
            }
        }

        return ['touches' => $touches, 'weaker' => $weaker, 'footed' => $footed];
    }

    /**
     * @param  list<Earlier>  $behind
     * @param  list<array{day: int, isWeaker: bool, families: non-empty-list<PlayedFamily>}>  $ahead
     */
    private static function fullest(array $behind, array $ahead): ?float
    {
        $days = array_map(static fn (array $one): Earlier => new Earlier(-$one['day'], self::touches($one['families'])), $ahead);
        $fullest = null;
        for ($week = 1; $week <= self::WEEKS; $week++) {
            $before = [];
            foreach ([...$behind, ...$days] as $one) {
                $ago = $one->daysAgo + 7 * $week;
                if ($ago >= 0) {
                    $before[] = new Earlier($ago, $one->amount);
                }
            }
            $ratio = LoadJump::ratio(0.0, $before);
            $fullest = $ratio === null ? $fullest : max($fullest ?? 0.0, $ratio);
        }

        return $fullest;
    }

    /**
     * @param  list<PlayedFamily>  $played
     * @param  list<array{day: int, isWeaker: bool, families: non-empty-list<PlayedFamily>}>  $ahead
     * @return list<string> families not met for three weeks at the end
     */
    private static function stale(array $played, array $ahead, CalendarDate $today): array
    {
        $end = 7 * self::WEEKS;
        $ago = [];
        foreach ($played as $one) {
            $ago[$one->family] = min($ago[$one->family] ?? PHP_INT_MAX, $one->on->daysUntil($today) + $end);
        }
        foreach ($ahead as ['day' => $day, 'families' => $families]) {
            foreach ($families as $one) {
                $ago[$one->family] = min($ago[$one->family] ?? PHP_INT_MAX, $end - $day);
            }
        }

        return array_keys(array_filter($ago, Fade::isStale(...)));
    }

    /**
     * @param  non-empty-list<float>  $values
     * @return array{low: float, middle: float, high: float} 1 in 10, 5 in 10, 9 in 10
     */
    private static function range(array $values): array
    {
        sort($values);
        $at = static fn (float $share): float => $values[(int) min(count($values) - 1, floor($share * count($values)))];

        return ['low' => $at(0.1), 'middle' => $at(0.5), 'high' => $at(0.9)];
    }
}
