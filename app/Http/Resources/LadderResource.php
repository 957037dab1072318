<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\OpenApi\Shape;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Ladder\Axis;
use FleetSparrow\Core\Ladder\EntryTest;
use FleetSparrow\Core\Ladder\Ladder;
use FleetSparrow\Core\Ladder\Rung;
use FleetSparrow\Core\Move\Move;
use FleetSparrow\Core\Move\MoveDictionary;
use FleetSparrow\Core\Progress\LadderPlace;
use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Shared\Foot;

#[
    Shape(
        'LadderRung',
        ['drill' => 'string', 'name' => 'string', 'criterion' => 'string', 'harderBy' => 'string[]', 'contacts' => 'Contact[]'],
    ),
]
#[Shape('LadderPlace', ['playerId' => 'int', 'rung' => 'int?', 'advice' => "'begin'|'stay'|'up'|'back'|'held'|'done'", 'why' => 'string'])]
#[Shape('RungTried', ['drill' => 'string', 'dose' => 'Dose'])]
#[Shape('Ladder', [
    'slug' => 'string', 'name' => 'string', 'family' => 'string', 'rungs' => 'LadderRung[]', 'places' => 'LadderPlace[]',
    'entryTest' => 'RungTried[]',
])]
#[Shape('TreeMove', ['slug' => 'string', 'name' => 'string', 'family' => 'string', 'needs' => 'string[]', 'depth' => 'int'])]
#[Shape('Ladders', ['ladders' => 'Ladder[]', 'tree' => 'TreeMove[]'])]
final class LadderResource
{
    /**
     * @param  array<int, LadderPlace>  $places  by player
     * @param  array<string, Drill>  $drills  by slug
     * @return array<string, mixed>
     */
    public static function of(Ladder $ladder, array $places, array $drills): array
    {
        return [
            'slug' => $ladder->slug,
            'name' => $ladder->name,
            'family' => $ladder->family->value,
            'rungs' => array_map(fn (Rung $rung): array => self::rung($rung, $drills[$rung->drill]), $ladder->rungs),
            'entryTest' => array_map(
                fn (array $tried): array => ['drill' => $tried['drill'], 'dose' => $tried['dose']->fields()],
                EntryTest::of($ladder, $drills),
            ),
            'places' => array_map(
                fn (int $playerId, LadderPlace $place): array => [
                    'playerId' => $playerId,
                    'rung' => $place->rung,
                    'advice' => $place->advice,
                    'why' => $place->why,
                ],
                array_keys($places),
                $places,
            ),
        ];
    }

    /** @return list<array<string, mixed>> every move, what needs nothing first */
    public static function tree(MoveDictionary $dictionary): array
    {
        $depth = fn (Move $move): int => $dictionary->depth($move->slug);

        return array_map(
            fn (Move $move): array => [
                'slug' => $move->slug,
                'name' => $move->name,
                'family' => $move->family->value,
                'needs' => $move->needs,
                'depth' => $depth($move),
            ],
            array_values($dictionary->moves),
        );
    }

    /** @return array<string, mixed> */
    private static function rung(Rung $rung, Drill $drill): array
    {
        $kind = $drill->rule?->kind;

        return [
            'drill' => $drill->slug,
            'name' => $drill->name,
            'criterion' => $kind === null
                ? ''
                : sprintf($kind->better() === Better::Higher ? '%g %s or more' : '%g %s or less', $rung->criterion, $kind->unit()),
            'harderBy' => array_map(fn (Axis $axis): string => $axis->words(), $rung->harderBy),
            'contacts' => array_slice(DrillResource::contacts($drill->script->resolved(Foot::Right)->items), 0, 12),
        ];
    }
}
