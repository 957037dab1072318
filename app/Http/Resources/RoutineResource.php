<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Player;
use App\OpenApi\Shape;
use App\Queries\StepsQuery;
use FleetSparrow\Core\Home\Routine;
use FleetSparrow\Core\Home\RoutineDay;
use FleetSparrow\Core\Home\RoutineItem;

/** A week at home: days, what to do, why, and the number to beat. */
#[Shape('RoutineItem', [
    'drill' => 'string', 'name' => 'string', 'family' => 'string', 'minutes' => 'number', 'dose' => 'Dose', 'reasons' => 'string[]',
    'target' => 'string?', 'easier' => 'string?', 'harder' => 'string?',
])]
#[Shape('RoutineDay', ['number' => 'int', 'isOtherFoot' => 'bool', 'minutes' => 'number', 'items' => 'RoutineItem[]'])]
#[Shape('RoutinePage', [
    'playerId' => 'int', 'playerName' => 'string', 'squadId' => 'int', 'wishes' => 'RoutineWishes', 'keptOn' => 'date?',
    'days' => 'RoutineDay[]', 'refusal' => 'string',
])]
final class RoutineResource
{
    /**
     * @param  array<string, mixed>  $wishes
     * @return array<string, mixed>
     */
    public static function of(Routine $routine, array $wishes, Player $player, ?string $keptOn): array
    {
        $steps = StepsQuery::of(array_map(fn (RoutineItem $item): string => $item->drill, $routine->days[0]->items ?? []));

        return [
            'playerId' => $player->id,
            'playerName' => $player->name,
            'squadId' => $player->squad_id,
            'wishes' => $wishes,
            'keptOn' => $keptOn,
            'days' => array_map(fn (RoutineDay $day): array => [
                'number' => $day->number,
                'isOtherFoot' => $day->isOtherFoot,
                'minutes' => round($day->minutes, 1),
                'items' => array_map(fn (RoutineItem $item): array => [
                    'drill' => $item->drill,
                    'name' => $item->name,
                    'family' => $item->family->value,
                    'minutes' => round($item->minutes, 1),
                    'dose' => $item->dose->fields(),
                    'reasons' => $item->reasons,
                    'target' => $item->target,
                    'easier' => $steps[$item->drill]['easier'] ?? null,
                    'harder' => $steps[$item->drill]['harder'] ?? null,
                ], $day->items),
            ], $routine->days),
            'refusal' => $routine->refusal,
        ];
    }
}
