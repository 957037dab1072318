<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\OpenApi\Shape;
use App\Planning\HomeWeek;
use FleetSparrow\Core\Home\RoutineItem;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\Segment;

/** A week at home as it was kept and as it goes: the same for the player's page and the sheet. */
#[Shape('HomeAsk', ['line' => 'Line', 'item' => 'string', 'target' => 'Target?', 'best' => 'number?'])]
#[Shape('HomeItem', [
    'drill' => 'string', 'name' => 'string', 'dose' => 'Dose', 'links' => 'int?', 'minutes' => 'number', 'asks' => 'HomeAsk[]',
])]
#[Shape('HomeSegment', [
    'id' => 'string', 'blockId' => 'string', 'kind' => "'explain'|'work'|'rest'|'water'", 'seconds' => 'number', 'endsByClock' => 'bool',
    'side' => 'string?', 'set' => 'int?', 'item' => 'string?',
])]
#[Shape('HomeDay', [
    'number' => 'int', 'isOtherFoot' => 'bool', 'minutes' => 'number', 'items' => 'HomeItem[]', 'segments' => 'HomeSegment[]',
])]
final class HomeWeekResource
{
    /** @return list<array<string, mixed>> day by day */
    public static function of(HomeWeek $week, LengthUnit $unit): array
    {
        $days = [];
        foreach ($week->days as $i => $worked) {
            $day = $week->kept->days[$i];
            $asks = $worked->asks();
            $days[] = [
                'number' => $day->number,
                'isOtherFoot' => $day->isOtherFoot,
                'minutes' => round($worked->seconds() / 60.0, 1),
                'items' => array_map(fn (RoutineItem $item, array $owed): array => [
                    'drill' => $item->drill->slug,
                    'name' => $item->drill->name,
                    'dose' => $item->dose->fields(),
                    'links' => $item->links,
                    'minutes' => round($item->minutes, 1),
                    'asks' => self::asks($week, $item, $owed, $unit),
                ], $day->items, $asks),
                'segments' => array_map(fn (Segment $segment): array => [
                    'id' => $segment->id,
                    'blockId' => $segment->blockId,
                    'kind' => $segment->kind->value,
                    'seconds' => round($segment->seconds, 1),
                    'endsByClock' => $segment->endsByClock,
                    'side' => $segment->side,
                    'set' => $segment->set,
                    'item' => $segment->item,
                ], $worked->segments),
            ];
        }

        return $days;
    }

    /**
     * @param  list<Owed>  $owed
     * @return list<array<string, mixed>>
     */
    private static function asks(HomeWeek $week, RoutineItem $item, array $owed, LengthUnit $unit): array
    {
        $asks = [];
        foreach ($owed as $one) {
            $line = $week->lineOf($one);
            if ($line === null) {
                continue;
            }
            $target = $week->targetOf($line);
            $asks[] = [
                'line' => LineResource::line($line, $unit),
                'item' => $one->item === null ? '' : ($item->drill->composition->items[$one->item]->name ?? ''),
                'target' => $target === null ? null : [
                    'value' => $target->value, 'because' => $target->because, 'chance' => null, 'harder' => $target->harder,
                ],
                'best' => ($week->readings[$line->line_key] ?? null)?->recordDay()?->best,
            ];
        }

        return $asks;
    }
}
