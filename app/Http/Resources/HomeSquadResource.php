<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\HomeEntry;
use App\Models\HomeLink;
use App\Models\Player;
use App\Models\RecordLine;
use App\OpenApi\Shape;
use App\Planning\KeptRoutine;
use App\Queries\HomeSquad;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Home\PracticeStreak;
use FleetSparrow\Core\Home\RoutineItem;
use FleetSparrow\Core\Shared\CalendarDate;

#[Shape('HomeKept', ['on' => 'date', 'days' => 'int', 'minutes' => 'number', 'drills' => 'string[]'])]
#[Shape('HomeOpen', ['until' => 'date', 'endsSoon' => 'bool', 'seenOn' => 'date?'])]
#[Shape('HomePlayer', [
    'id' => 'int', 'name' => 'string', 'kept' => 'HomeKept?', 'link' => 'HomeOpen?', 'practised' => 'date[]', 'streak' => 'HomeStreak',
])]
#[Shape('WaitingNumber', ['side' => 'string', 'value' => 'number', 'unit' => 'string', 'best' => 'number?', 'step' => 'number'])]
#[Shape('WaitingPractice', [
    'uuid' => 'string', 'playerId' => 'int', 'drill' => 'string', 'name' => 'string', 'on' => 'date', 'felt' => "'easy'|'right'|'hard'?",
    'source' => "'link'|'paper'", 'numbers' => 'WaitingNumber[]', 'doubts' => 'string[]',
])]
#[Shape('HomeSquad', ['today' => 'date', 'players' => 'HomePlayer[]', 'waiting' => 'WaitingPractice[]'])]
final class HomeSquadResource
{
    private const DAYS_SHOWN = 28;

    /** @return array<string, mixed> */
    public static function of(HomeSquad $home, ClubDay $day): array
    {
        $today = $day->today();

        return [
            'today' => $today->iso(),
            'players' => array_values($home->squad->players->map(static fn (Player $player): array => self::player(
                $player,
                $home->kept[$player->id] ?? null,
                $home->links[$player->id] ?? null,
                $home->days[$player->id] ?? [],
                $day,
            ))->all()),
            'waiting' => array_map(
                static fn (array $one): array => self::waiting($one['entry'], $one['lines'], $one['bests'], $one['doubts'], $home),
                $home->waiting,
            ),
        ];
    }

    /**
     * @param  list<CalendarDate>  $days
     * @return array<string, mixed>
     */
    private static function player(Player $player, ?KeptRoutine $kept, ?HomeLink $link, array $days, ClubDay $day): array
    {
        $today = $day->today();
        $first = $kept?->days[0] ?? null;
        $streak = PracticeStreak::of($days, $kept?->wishes->place()->days ?? 3, $today);

        return [
            'id' => $player->id,
            'name' => $player->name,
            'kept' => $kept === null || $first === null ? null : [
                'on' => $kept->on,
                'days' => count($kept->days),
                'minutes' => round($first->minutes, 1),
                'drills' => array_map(static fn (RoutineItem $item): string => $item->drill->name, $first->items),
            ],
            'link' => $link === null || ! $link->isOpen() ? null : [
                'until' => $day->on($link->expires_at_utc)->iso(),
                'endsSoon' => $link->endsSoon(),
                'seenOn' => $link->seen_on?->format('Y-m-d'),
            ],
            'practised' => array_map(static fn (CalendarDate $on): string => $on->iso(), array_values(array_filter(
                $days,
                static fn (CalendarDate $on): bool => $on->daysUntil($today) < self::DAYS_SHOWN,
            ))),
            'streak' => ['days' => $streak->days, 'inAll' => $streak->inAll],
        ];
    }

    /**
     * @param  array<string, RecordLine>  $lines
     * @param  array<string, float>  $bests
     * @param  list<string>  $doubts
     * @return array<string, mixed>
     */
    private static function waiting(HomeEntry $entry, array $lines, array $bests, array $doubts, HomeSquad $home): array
    {
        $numbers = [];
        foreach ($entry->numbers as $number) {
            $line = $lines[$number['lineKey']] ?? null;
            $numbers = $line === null ? $numbers : [...$numbers, [
                'side' => $line->side->value,
                'value' => (float) $number['value'],
                'unit' => $line->kind->unit(),
                'best' => $bests[$number['lineKey']] ?? null,
                'step' => $line->kind->step(),
            ]];
        }

        return [
            'uuid' => $entry->uuid,
            'playerId' => $entry->player_id,
            'drill' => $entry->drill_slug,
            'name' => $home->names[$entry->drill_slug] ?? $entry->drill_slug,
            'on' => $entry->practised_on->format('Y-m-d'),
            'felt' => $entry->felt,
            'source' => $entry->source,
            'numbers' => $numbers,
            'doubts' => $doubts,
        ];
    }
}
