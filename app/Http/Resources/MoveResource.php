<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\OpenApi\Shape;
use FleetSparrow\Core\Move\Move;
use FleetSparrow\Core\Move\MoveDictionary;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Touch\Step;
use FleetSparrow\Core\Touch\StepStrip;

#[
    Shape(
        'MoveSummary',
        [
            'slug' => 'string',
            'name' => 'string',
            'family' => 'string',
            'script' => 'string',
            'contacts' => 'Contact[]',
            'touchesPerRep' => 'int', 'secondsPerRep' => 'number',
            'words' => 'string[]',
        ],
    ),
]
#[Shape('MoveRef', ['slug' => 'string', 'name' => 'string'])]
#[
    Shape(
        'Step',
        [
            'foot' => "'L'|'R'|'?'|'-'?",
            'kind' => "'contact'|'feint'|'turn'|'event'",
            'surface' => 'string?',
            'way' => 'string?',
            'standing' => "'L'|'R'?",
            'words' => 'string',
            'headingDegrees' => 'int',
            'times' => 'string',
        ],
    ),
]
#[
    Shape(
        'Move',
        [
            'mirror' => 'string',
            'cue' => 'string',
            'faults' => 'Fault[]',
            'easier' => 'MoveRef[]',
            'harder' => 'MoveRef[]',
            'before' => 'MoveRef[]',
            'stepsRight' => 'Step[]',
            'stepsLeft' => 'Step[]',
        ],
        extends: 'MoveSummary',
    ),
]
#[Shape('Moves', ['moves' => 'MoveSummary[]'])]
final class MoveResource
{
    /** @return array<string, mixed> */
    public static function summary(Move $move): array
    {
        return [
            'slug' => $move->slug,
            'name' => $move->name,
            'family' => $move->family->value,
            'script' => $move->script->text(),
            'contacts' => DrillResource::contacts($move->script->resolved(Foot::Right)->items),
            'touchesPerRep' => $move->touchesPerRep(),
            'secondsPerRep' => $move->secondsPerRep(),
            'words' => $move->words,
        ];
    }

    /** @return array<string, mixed> */
    public static function of(Move $move, MoveDictionary $dictionary): array
    {
        $refs = fn (array $slugs): array => array_map(
            fn (string $slug): array => ['slug' => $slug, 'name' => $dictionary->moves[$slug]->name],
            $slugs,
        );

        return self::summary($move) + [
            'mirror' => $move->script->mirrored()->text(),
            'cue' => $move->cue,
            'faults' => array_map(get_object_vars(...), $move->faults),
            'easier' => $refs($move->easier),
            'harder' => $refs($move->harder),
            'before' => $refs($dictionary->before($move->slug)),
            'stepsRight' => array_map(self::step(...), StepStrip::of($move->script, Foot::Right)),
            'stepsLeft' => array_map(self::step(...), StepStrip::of($move->script, Foot::Left)),
        ];
    }

    /** @return array<string, mixed> */
    private static function step(Step $step): array
    {
        return [
            'foot' => $step->foot?->value,
            'kind' => $step->kind,
            'surface' => $step->surface?->value,
            'way' => $step->way?->value,
            'standing' => $step->standing?->value,
            'words' => $step->words,
            'headingDegrees' => $step->headingDegrees,
            'times' => $step->times,
        ];
    }
}
