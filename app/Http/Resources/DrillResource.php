<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\DrillVersion;
use App\Models\OwnDrill;
use App\OpenApi\Shape;
use FleetSparrow\Core\Drill\CircuitItem;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\DrillWords;
use FleetSparrow\Core\Drill\LevelFactor;
use FleetSparrow\Core\Drill\Part;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\Equipment;
use FleetSparrow\Core\Layout\Kind\CommonBox;
use FleetSparrow\Core\Layout\Label;
use FleetSparrow\Core\Layout\Marker;
use FleetSparrow\Core\Layout\PathStitch;
use FleetSparrow\Core\Layout\PathStitches;
use FleetSparrow\Core\Layout\Place;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Layout\TimedPoint;
use FleetSparrow\Core\Layout\Walk;
use FleetSparrow\Core\Layout\WallLine;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Timeline\RepTouches;
use FleetSparrow\Core\Touch\Contact;
use FleetSparrow\Core\Touch\Group;
use FleetSparrow\Core\Touch\Item;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Turn;

/** A drill of the book, with its drawing in metres and its dimension texts in the squad's unit. */
#[Shape('Dose', [
    'kind' => "'timed'|'reps'|'lengths'|'quota'|'collective'|'streak'|'race'|'tries'|'free'|'circuit'", 'rounds?' => 'int',
    'tempos?' => 'string', 'workSeconds?' => 'number', 'reps?' => 'int', 'good?' => 'int', 'lengths?' => 'int', 'andBack?' => 'int',
    'total?' => 'int',
    'onlyGood?' => 'int', 'goal?' => 'int', 'balls?' => 'int', 'untilHit?' => 'int', 'minutes?' => 'number', 'sets?' => 'int',
    'restSeconds?' => 'number', 'sides?' => 'string', 'limitSeconds?' => 'number', 'goesBy?' => "'last'|'clock'|'own'",
])]
#[Shape('Point', ['xMetres' => 'number', 'yMetres' => 'number'])]
#[Shape('DrawnMarker', ['shape' => "'triangle'|'square'|'ring'", 'colour' => 'string'], extends: 'Point')]
#[Shape('DrawnLabel', ['text' => 'string'], extends: 'Point')]
#[Shape('DrawnDimension', ['from' => 'Point', 'to' => 'Point', 'text' => 'string'])]
#[Shape('PathLength', ['metres' => 'number', 'text' => 'string'])]
#[Shape('DrawnStitch', ['foot' => 'string', 'surface' => 'string', 'degrees' => 'number'], extends: 'Point')]
#[Shape('DrawnPlace', ['role' => "'worker'|'server'|'queue'|'keeper'|'caller'"], extends: 'Point')]
#[Shape('DrawnWall', ['from' => 'Point', 'to' => 'Point'])]
#[
    Shape(
        'Drawing',
        [
            'kind' => 'string',
            'markers' => 'DrawnMarker[]',
            'path' => 'Point[]',
            'stitches' => 'DrawnStitch[]',
            'runPath' => 'Point[]',
            'balls' => 'Point[]',
            'places' => 'DrawnPlace[]',
            'walls' => 'DrawnWall[]',
            'kit' => 'string[]',
            'pathLength' => 'PathLength?',
            'dimensions' => 'DrawnDimension[]',
            'labels' => 'DrawnLabel[]',
            'spaceText' => 'string',
            'walk' => 'Walk?',
        ],
    ),
]
#[Shape('WalkPoint', ['seconds' => 'number'], extends: 'Point')]
#[Shape('Walk', ['seconds' => 'number', 'ball' => 'WalkPoint[]', 'worker' => 'WalkPoint[]'])]
#[Shape('Contact', ['foot' => 'string', 'surface' => 'string'])]
#[
    Shape(
        'Scoring',
        [
            'kind' => 'string',
            'unit' => 'string',
            'better' => "'higher'|'lower'",
            'starts' => 'string',
            'stops' => 'string',
            'countsOnlyIf' => 'string',
            'voids' => 'string',
            'fault' => 'string',
            'inHalves' => 'bool',
        ],
    ),
]
#[Shape('ServerCard', ['give' => 'string', 'call' => 'string', 'count' => 'string', 'stop' => 'string'])]
#[
    Shape(
        'Organisation',
        ['workers' => 'int', 'playerServers' => 'int', 'service' => 'string', 'people' => 'string[]', 'card' => 'ServerCard?'],
    ),
]
#[
    Shape(
        'DrillPart',
        [
            'name' => 'string',
            'script' => 'string',
            'contacts' => 'Contact[]',
            'move' => 'string?',
            'dose' => 'Dose?',
            'restSeconds' => 'number',
            'asks' => 'string',
            'isCounted' => 'bool',
        ],
    ),
]
#[Shape('Question', ['ask' => 'string', 'hopedFor' => 'string[]'])]
#[Shape('StandIn', ['for' => 'string', 'use' => 'string'])]
#[Shape('LevelFactor', ['ageGroup' => 'string', 'dose' => 'number', 'distance' => 'number', 'target' => 'number'])]
#[Shape('Penalty', ['slug' => 'string', 'words' => 'string', 'seconds' => 'number'])]
#[Shape('Fault', ['fault' => 'string', 'fix' => 'string'])]
#[Shape('Drill', [
    'versionId' => 'int', 'slug' => 'string', 'name' => 'string', 'family' => 'string', 'summary' => 'string', 'script' => 'string',
    'contacts' => 'Contact[]', 'contactsLeft' => 'Contact[]',
    'touchesPerRep' => 'number', 'secondsPerRep' => 'number', 'dose' => 'Dose?', 'scoring' => 'Scoring?',
    'organisation' => 'Organisation', 'points' => 'string[]', 'faults' => 'Fault[]', 'cautions' => 'string[]', 'drawing' => 'Drawing',
    'composition' => "'single'|'combination'|'build-up'|'circuit'", 'parts' => 'DrillPart[]', 'asks' => 'string[]',
    'questions' => 'Question[]', 'standIns' => 'StandIn[]', 'fromAge' => 'string', 'levels' => 'LevelFactor[]',
    'judgesQuality' => 'bool', 'note' => 'string', 'penalties' => 'Penalty[]', 'isOwn' => 'bool',
])]
#[Shape('Drills', ['drills' => 'Drill[]'])]
final class DrillResource
{
    /** @return array<string, mixed> */
    public static function of(DrillVersion $version, LengthUnit $unit): array
    {
        return ['versionId' => $version->id] + self::drill($version->drill(), $unit);
    }

    /** @return array<string, mixed> a drill that is not kept yet has no version */
    public static function drill(Drill $drill, LengthUnit $unit): array
    {
        $perRep = RepTouches::of($drill->script, $drill->layout->timesAlongPath(), Side::Right);
        $rule = $drill->rule;
        $teaching = $drill->teaching;

        return [
            'slug' => $drill->slug,
            'name' => $drill->name,
            'family' => $drill->family->value,
            'summary' => $drill->summary,
            'script' => $drill->script->text(),
            'contacts' => self::contacts($drill->script->resolved(Foot::Right)->items),
            'contactsLeft' => self::contacts($drill->script->resolved(Foot::Left)->items),
            'touchesPerRep' => round($perRep->contacts(), 1),
            'secondsPerRep' => round($drill->secondsPerRep, 2),
            'dose' => $drill->dose?->fields(),
            'scoring' => $rule === null ? null : [
                'kind' => $rule->kind->value, 'unit' => $rule->kind->unit(), 'better' => $rule->kind->better()->value,
                'starts' => $rule->starts->words(), 'stops' => $rule->stops->words(),
                'countsOnlyIf' => $rule->countsOnlyIf(), 'voids' => $rule->voidWords(), 'fault' => $rule->faultWords(),
                'inHalves' => $rule->inHalves,
            ],
            'organisation' => [
                'workers' => $drill->organisation->workers, 'playerServers' => $drill->organisation->playerServers,
                'service' => $drill->organisation->service->value,
                'people' => DrillWords::people($drill->organisation), 'card' => $drill->organisation->card === null
                    ? null
                    : get_object_vars($drill->organisation->card),
            ],
            'points' => $teaching->points,
            'faults' => array_map(get_object_vars(...), $teaching->faults),
            'cautions' => $teaching->cautions,
            'drawing' => self::drawing($drill, $unit),
            'composition' => $drill->composition->kind->value,
            'parts' => self::parts($drill),
            'asks' => DrillWords::asks($drill),
            'questions' => array_map(get_object_vars(...), $teaching->questions),
            'standIns' => array_map(get_object_vars(...), $teaching->standIns),
            'fromAge' => $drill->demands->fromAge->name(),
            'levels' => array_map(
                fn (LevelFactor $level): array => [
                    'ageGroup' => $level->ageGroup->name(),
                    'dose' => $level->dose,
                    'distance' => $level->distance,
                    'target' => $level->target,
                ],
                $drill->demands->levels,
            ),
            'judgesQuality' => $teaching->judgesQuality,
            'note' => $teaching->note,
            'penalties' => array_map(get_object_vars(...), $rule->protocol->penalties ?? []),
            'isOwn' => OwnDrill::isOwn($drill->slug),
        ];
    }

    /** @return list<array<string, mixed>> parts of a combination, links of a build-up, items of a circuit */
    private static function parts(Drill $drill): array
    {
        $part = fn (string $name, Script $script): array => [
            'name' => $name,
            'script' => $script->text(),
            'contacts' => self::contacts($script->resolved(Foot::Right)->items),
        ];

        return [
            ...array_map(
                fn (Part $one): array => $part($one->name, $one->script) + [
                    'move' => $one->move,
                    'dose' => null,
                    'restSeconds' => 0.0,
                    'asks' => '',
                    'isCounted' => false,
                ],
                $drill->composition->parts,
            ),
            ...array_map(fn (CircuitItem $one): array => $part($one->name, $one->script) + [
                'move' => null, 'dose' => $one->dose->fields(), 'restSeconds' => $one->restSeconds,
                'asks' => implode(', ', array_filter([$one->touches?->words(), $one->manner?->words()], is_string(...))),
                'isCounted' => $one->rule !== null,
            ], $drill->composition->items),
        ];
    }

    /** @return array<string, mixed> */
    private static function drawing(Drill $drill, LengthUnit $unit): array
    {
        [$layout, $script] = [$drill->layout, $drill->script];
        $walk = Walk::of($layout, $script, $drill->secondsPerRep);
        $path = $layout->ballPath();
        $footprint = $layout->footprint();

        return [
            'kind' => $layout->kind(),
            'markers' => array_map(
                fn (Marker $marker): array => self::point($marker->at) + ['shape' => $marker->shape->value, 'colour' => $marker->colour],
                $layout->markers(),
            ),
            'path' => $path === null ? [] : array_map(self::point(...), $path->points),
            'pathLength' => $path === null
                ? null
                : [
                    'metres' => round($path->lengthMetres, 3),
                    'text' => self::text(Length::ofMetres($path->lengthMetres)->in($unit), $unit),
                ],
            'stitches' => array_map(
                self::stitch(...),
                PathStitches::along($path, $script->resolved(Foot::Right), $layout->timesAlongPath()),
            ),
            'runPath' => array_map(self::point(...), $layout->runPath()->points ?? []),
            'balls' => $drill->usesBall
                ? array_values(array_unique(array_map(self::point(...), $layout->balls()), SORT_REGULAR))
                : [],
            'places' => array_map(fn (Place $place): array => self::point($place->at) + ['role' => $place->role->value], $layout->places()),
            'walls' => array_map(
                fn (WallLine $wall): array => ['from' => self::point($wall->from), 'to' => self::point($wall->to)],
                $layout->walls(),
            ),
            'kit' => self::kit($drill),
            'dimensions' => array_map(
                fn (DimensionLine $line): array => [
                    'from' => self::point($line->from),
                    'to' => self::point($line->to),
                    'text' => self::text($line->length->in($unit), $unit),
                ],
                $layout->dimensions(),
            ),
            'labels' => array_map(fn (Label $label): array => self::point($label->at) + ['text' => $label->text], $layout->labels()),
            'walk' => $walk === null
                ? null
                : [
                    'seconds' => round($walk->seconds, 2),
                    'ball' => $drill->usesBall ? array_map(self::walkPoint(...), $walk->ball) : [],
                    'worker' => array_map(self::walkPoint(...), $drill->usesBall ? $walk->worker : $walk->ball),
                ],
            'spaceText' => self::text(
                round($footprint->widthWithClearanceMetres() * 10000 / $unit->tenthsOfMillimetre(), 1),
                $unit,
            ).' by '.self::text(round($footprint->depthWithClearanceMetres() * 10000 / $unit->tenthsOfMillimetre(), 1), $unit),
        ];
    }

    /** @return array<string, float> */
    private static function walkPoint(TimedPoint $point): array
    {
        return self::point($point->at) + ['seconds' => round($point->seconds, 3)];
    }

    /** @return array<string, mixed> */
    private static function stitch(PathStitch $stitch): array
    {
        return self::point($stitch->at) + [
            'foot' => $stitch->foot->value,
            'surface' => $stitch->surface->value,
            'degrees' => round(rad2deg($stitch->radians), 1),
        ];
    }

    /** @return list<string> what one station needs, in words */
    private static function kit(Drill $drill): array
    {
        [$kit, $layout] = [$drill->kit(1), $drill->layout];
        $words = array_map(
            fn (string $colour, int $count): string => "{$count} {$colour} ".($count === 1 ? 'marker' : 'markers'),
            array_keys($kit->markersByColour),
            $kit->markersByColour,
        );

        return [
            ...$words,
            ...array_map(
                fn (string $what, int $count): string => $what === Equipment::Ball->value && $layout->kind() === CommonBox::KIND
                    ? 'a ball each'
                    : "{$count} {$what}".($count === 1 ? '' : 's'),
                array_keys($kit->equipment),
                $kit->equipment,
            ),
        ];
    }

    /** @return array{xMetres: float, yMetres: float} */
    private static function point(Point $point): array
    {
        return ['xMetres' => round($point->xMetres, 3), 'yMetres' => round($point->yMetres, 3)];
    }

    private static function text(float $value, LengthUnit $unit): string
    {
        return rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.').' '.($unit === LengthUnit::Pace ? 'paces' : $unit->value);
    }

    /**
     * The contacts of one rep, for drawing its stitches; a group is shown once.
     *
     * @param  list<Item>  $items
     * @return list<array{foot: string, surface: string}>
     */
    public static function contacts(array $items): array
    {
        $contacts = [];
        foreach ($items as $item) {
            if ($item instanceof Contact) {
                $contacts[] = ['foot' => $item->foot->value, 'surface' => $item->surface->value];
            } elseif ($item instanceof Turn) {
                $contacts[] = ['foot' => 'turn', 'surface' => (string) $item->degrees];
            } elseif ($item instanceof Group) {
                $contacts = [...$contacts, ...self::contacts($item->items)];
            }
        }

        return $contacts;
    }
}
