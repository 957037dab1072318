<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\HomeLink;
use App\OpenApi\Shape;
use App\Planning\HomeWeek;
use App\Queries\StepsQuery;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Home\PracticeStreak;
use FleetSparrow\Core\Season\SeasonWeek;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\LengthUnit;

/** What one player's phone at home is told: first name, week, days practised. Nothing of anybody else, and nothing else of the player. */
#[Shape('HomeDrill', [
    'slug' => 'string', 'name' => 'string', 'summary' => 'string', 'contacts' => 'Contact[]', 'points' => 'string[]',
    'cautions' => 'string[]', 'drawing' => 'Drawing', 'countsOnlyIf' => 'string', 'standIns' => 'StandIn[]', 'card' => 'ServerCard?',
    'easier' => 'string?', 'harder' => 'string?',
])]
#[Shape('HomeStreak', ['days' => 'int', 'inAll' => 'int'])]
#[Shape('AtHome', [
    'name' => 'string', 'today' => 'date', 'until' => 'date', 'endsSoon' => 'bool',
    'keptOn' => 'date?', 'nextDay' => 'int', 'days' => 'HomeDay[]',
    'drills' => 'HomeDrill[]', 'practised' => 'date[]', 'streak' => 'HomeStreak', 'footWording' => "'other'|'weaker'",
])]
final class AtHomeResource
{
    private const DAYS_SHOWN = 28;

    /**
     * @param  list<CalendarDate>  $days  with something practised, the latest first
     * @return array<string, mixed>
     */
    public static function of(HomeLink $link, ?HomeWeek $week, array $days, ClubDay $day): array
    {
        $squad = $link->player->squad;
        $today = $day->today();
        $aWeek = $week?->kept->wishes->place()->days ?? 3;
        $streak = PracticeStreak::of($days, $aWeek, $today);
        $drills = [];
        foreach ($week?->kept->days ?? [] as $one) {
            foreach ($one->items as $item) {
                $drills[$item->drill->slug] = $item->links === null ? $item->drill : $item->drill->upTo($item->links);
            }
        }

        return [
            'name' => $link->player->name,
            'today' => $today->iso(),
            'until' => $day->on($link->expires_at_utc)->iso(),
            'endsSoon' => $link->endsSoon(),
            'keptOn' => $week?->kept->on,
            'nextDay' => self::nextDay($days, SeasonWeek::startOf($today, $day->weekStartsOn), $today, count($week->days ?? [])),
            'days' => $week === null ? [] : HomeWeekResource::of($week, $squad->length_unit),
            'drills' => self::drills($drills, $squad->length_unit),
            'practised' => array_map(static fn (CalendarDate $on): string => $on->iso(), array_values(array_filter(
                $days,
                static fn (CalendarDate $on): bool => $on->daysUntil($today) < self::DAYS_SHOWN,
            ))),
            'streak' => ['days' => $streak->days, 'inAll' => $streak->inAll],
            'footWording' => $squad->foot_wording,
        ];
    }

    /**
     * Which day of the week at home comes next, by how many were done since the week began.
     *
     * @param  list<CalendarDate>  $days
     */
    private static function nextDay(array $days, CalendarDate $monday, CalendarDate $today, int $most): int
    {
        $done = array_filter($days, static fn (CalendarDate $on): bool => $on->daysUntil($today) > 0 && $monday->daysUntil($on) >= 0);

        return max(1, min($most, count($done) + 1));
    }

    /**
     * @param  array<string, Drill>  $drills
     * @return list<array<string, mixed>>
     */
    public static function drills(array $drills, LengthUnit $unit): array
    {
        $steps = StepsQuery::of(array_keys($drills));

        return array_values(array_map(static function (Drill $drill) use ($steps, $unit): array {
            $all = DrillResource::drill($drill, $unit);
            $shown = ['slug', 'name', 'summary', 'contacts', 'points', 'cautions', 'drawing', 'standIns'];

            return array_intersect_key($all, array_flip($shown)) + [
                'countsOnlyIf' => $drill->rule?->countsOnlyIf() ?? '',
                'card' => $all['organisation']['card'],
                'easier' => $steps[$drill->slug]['easier'] ?? null,
                'harder' => $steps[$drill->slug]['harder'] ?? null,
            ];
        }, $drills));
    }
}
