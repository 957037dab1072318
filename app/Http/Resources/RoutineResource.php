<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Player;
use App\OpenApi\Shape;
use App\Planning\KeptRoutine;
use App\Planning\RoutineWishes;
use App\Queries\StepsQuery;
use FleetSparrow\Core\Home\Routine;
use FleetSparrow\Core\Home\RoutineDay;
use FleetSparrow\Core\Home\RoutineItem;

/** A week at home: days, what to do, why, and the number to beat. */
#[Shape('RoutineItem', [
    'drill' => 'string', 'name' => 'string', 'family' => 'string', 'minutes' => 'number', 'dose' => 'Dose', 'reasons' => 'string[]',
    'target' => 'string?', 'easier' => 'string?', 'harder' => 'string?', 'links' => 'int?',
])]
#[Shape('RoutineDay', ['number' => 'int', 'isOtherFoot' => 'bool', 'minutes' => 'number', 'items' => 'RoutineItem[]'])]
#[Shape('RoutinePage', [
    'playerId' => 'int', 'playerName' => 'string', 'squadId' => 'int', 'wishes' => 'RoutineWishes', 'keptOn' => 'date?',
    'isAsKept' => 'bool', 'days' => 'RoutineDay[]', 'refusal' => 'string', 'left' => 'string[]',
])]
final class RoutineResource
{
    /**
     * A week as it is proposed.
     *
     * @param  array{routine: Routine, wishes: RoutineWishes, kept: KeptRoutine|null}  $made
     * @return array<string, mixed>
     */
    public static function of(array $made, Player $player): array
    {
        ['routine' => $routine, 'wishes' => $wishes, 'kept' => $kept] = $made;

        return [
            'playerId' => $player->id,
            'playerName' => $player->name,
            'squadId' => $player->squad_id,
            'wishes' => $wishes->fields(),
            'keptOn' => $kept?->on,
            'isAsKept' => $kept?->isSameAs($routine->days) ?? false,
            'days' => self::days($routine->days),
            'refusal' => $routine->refusal,
            'left' => $routine->left,
        ];
    }

    /**
     * @param  list<RoutineDay>  $days
     * @return list<array<string, mixed>>
     */
    private static function days(array $days): array
    {
        $steps = StepsQuery::of(array_map(fn (RoutineItem $item): string => $item->drill->slug, $days[0]->items ?? []));

        return array_map(fn (RoutineDay $day): array => [
            'number' => $day->number,
            'isOtherFoot' => $day->isOtherFoot,
            'minutes' => round($day->minutes, 1),
            'items' => array_map(fn (RoutineItem $item): array => [
                'drill' => $item->drill->slug,
                'name' => $item->drill->name,
                'family' => $item->drill->family->value,
                'minutes' => round($item->minutes, 1),
                'dose' => $item->dose->fields(),
                'links' => $item->links,
                'reasons' => $item->reasons,
                'target' => $item->target,
                'easier' => $steps[$item->drill->slug]['easier'] ?? null,
                'harder' => $steps[$item->drill->slug]['harder'] ?? null,
            ], $day->items),
        ], $days);
    }
}
