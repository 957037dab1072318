<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\HomeLink;
use App\Models\Player;
use App\Models\Squad;
use App\OpenApi\Shape;
use App\Planning\HomeWeek;
use App\Tenancy\ClubDay;

/** Everybody's week to print. What the drills look like is said once, however many sheets they are on. */
#[Shape('HomeSheet', [
    'playerId' => 'int', 'name' => 'string', 'keptOn' => 'date', 'link' => 'HomeLink?', 'days' => 'HomeDay[]',
])]
#[Shape('HomeSheets', ['sheets' => 'HomeSheet[]', 'drills' => 'HomeDrill[]'])]
final class HomeSheetResource
{
    /**
     * @param  array<int, HomeWeek>  $weeks  by player
     * @return array<string, mixed>
     */
    public static function of(Squad $squad, array $weeks, ClubDay $day): array
    {
        $links = HomeLink::query()->whereIn('player_id', array_keys($weeks))->get()->keyBy('player_id');
        $drills = [];
        foreach ($weeks as $week) {
            foreach ($week->kept->days as $one) {
                foreach ($one->items as $item) {
                    $drills[$item->drill->slug] = $item->drill;
                }
            }
        }

        return [
            'sheets' => array_values($squad->players->whereIn('id', array_keys($weeks))->map(static fn (Player $player): array => [
                'playerId' => $player->id,
                'name' => $player->name,
                'keptOn' => $weeks[$player->id]->kept->on,
                'link' => HomeLinkResource::of($links->get($player->id), $day),
                'days' => HomeWeekResource::of($weeks[$player->id], $squad->length_unit),
            ])->all()),
            'drills' => AtHomeResource::drills($drills, $squad->length_unit),
        ];
    }
}
