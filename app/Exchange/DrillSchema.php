<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Exchange\Import\DrillFile;
use FleetSparrow\Core\Dose\DoseDeclaration;
use FleetSparrow\Core\Dose\DoseField;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Ball;
use FleetSparrow\Core\Drill\CallFoot;
use FleetSparrow\Core\Drill\Calling;
use FleetSparrow\Core\Drill\CallKind;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Opposition;
use FleetSparrow\Core\Drill\Pattern;
use FleetSparrow\Core\Drill\Service;
use FleetSparrow\Core\Drill\SideSetBy;
use FleetSparrow\Core\Drill\TargetNaming;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Layout\LayoutParameter;
use FleetSparrow\Core\Record\ClockStart;
use FleetSparrow\Core\Record\ClockStop;
use FleetSparrow\Core\Record\Condition;
use FleetSparrow\Core\Record\CountUnit;
use FleetSparrow\Core\Record\FaultCost;
use FleetSparrow\Core\Record\FaultKind;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\OwedSets;
use FleetSparrow\Core\Record\VoidReason;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\ServiceManner;

/**
 * The schema of `fleet-sparrow/drill`, made from the lists the core itself reads by. It holds the shape; what the core alone can
 * tell (a script, a goal wider than its field) it tells when the file is read.
 */
final class DrillSchema
{
    use SchemaWords;

    /** @return array<string, mixed> JSON Schema 2020-12 */
    public static function document(?LayoutKinds $layouts = null, ?DoseKinds $doses = null): array
    {
        $laid = ($layouts ?? LayoutKinds::standard())->parameters();
        $declared = ($doses ?? DoseKinds::standard())->declared();

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'fleet-sparrow:drill:'.DrillFile::VERSION,
            'title' => DrillFile::FORMAT,
            'type' => 'object',
            'required' => ['format', 'version', 'drills'],
            'properties' => [
                'format' => ['const' => DrillFile::FORMAT],
                'version' => ['enum' => range(DrillFile::OLDEST, DrillFile::VERSION)],
                'drills' => ['type' => 'array', 'minItems' => 1, 'maxItems' => 200, 'items' => ['$ref' => '#/$defs/drill']],
            ],
            '$defs' => [
                'length' => self::object(
                    ['value' => self::number(0.0, 1000.0), 'unit' => self::oneOf(array_column(LengthUnit::cases(), 'value'))],
                    ['value', 'unit'],
                ),
                'layout' => ['oneOf' => array_map(self::layout(...), array_keys($laid), $laid)],
                'dose' => self::dose([...$declared, CircuitDose::declared()]),
                // An item of a circuit is one set of it, and rests lie between items.
                'itemDose' => self::dose($declared, ['sets', 'restSeconds']),
                'touches' => self::object(
                    ['least' => self::whole(1, 20), 'most' => self::whole(1, 20), 'whileLearning' => self::whole(1, 20)],
                ),
                'scoring' => self::scoring(),
                'part' => self::object(['name' => self::text(80), 'script' => self::text(400), 'move' => self::slug()], ['name', 'script']),
                'item' => self::object([
                    'name' => self::text(80), 'script' => self::text(400), 'secondsPerRep' => self::number(0.1, 120.0),
                    'dose' => ['$ref' => '#/$defs/itemDose'], 'restSeconds' => self::number(0.0, 600.0),
                    'goodChance' => self::number(0.05, 1.0), 'fetchSeconds' => self::number(0.0, 60.0),
                    'scoring' => ['$ref' => '#/$defs/scoring'], 'manner' => self::enum(ServiceManner::class),
                    'touches' => ['$ref' => '#/$defs/touches'],
                ], ['name', 'script', 'secondsPerRep', 'dose']),
                'drill' => self::drill(),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function drill(): array
    {
        $list = fn (array $items, int $least = 0, int $most = 40): array => [
            'type' => 'array',
            'items' => $items,
            'minItems' => $least,
            'maxItems' => $most,
        ];
        $sentences = $list(self::text(300));

        return self::object([
            'slug' => self::slug(), 'name' => self::text(120), 'family' => self::enum(Family::class), 'summary' => self::text(300),
            'words' => $sentences,
            'layout' => ['$ref' => '#/$defs/layout'],
            // Numbers made on this one are of the same line, where the drill is now done on the spot or in a shared box.
            'formerLayout' => ['$ref' => '#/$defs/layout'],
            'script' => self::text(400), 'combination' => $list(['$ref' => '#/$defs/part'], 2, 12),
            'buildUp' => $list(['$ref' => '#/$defs/part'], 2, 12), 'circuit' => $list(['$ref' => '#/$defs/item'], 1, 20),
            'secondsPerRep' => self::number(0.1, 120.0), 'metresPerSecond' => self::number(0.2, 8.0),
            'goodChance' => self::number(0.05, 1.0), 'fetchSeconds' => self::number(0.0, 60.0),
            'dose' => ['$ref' => '#/$defs/dose'], 'scoring' => ['$ref' => '#/$defs/scoring'], 'organisation' => self::organisation(),
            'touches' => ['$ref' => '#/$defs/touches'],
            'sideSetBy' => self::enum(SideSetBy::class), 'ball' => self::enum(Ball::class), 'calling' => self::calling(),
            'targetRoles' => $list(self::text(300), 0, 9), 'targetsNamedBy' => self::enum(TargetNaming::class),
            'needs' => $list(self::slug(), 0, 12), 'fromAge' => self::oneOf(AgeGroup::names()),
            'levels' => $list(
                self::object(
                    [
                        'ageGroup' => self::oneOf(AgeGroup::names()),
                        'dose' => self::number(0.25, 2.0),
                        'distance' => self::number(0.25, 2.0),
                        'target' => self::number(0.25, 2.0),
                    ],
                    ['ageGroup', 'dose', 'distance', 'target'],
                ),
            ),
            'opposition' => self::enum(Opposition::class), 'keepsTheme' => ['type' => 'boolean'],
            'points' => $list(self::text(300), 1, 3), 'questions' => $list(
                self::object(['ask' => self::text(500), 'hopedFor' => $list(self::text(300), 1)], ['ask', 'hopedFor']),
            ),
            'faults' => $list(self::object(['fault' => self::text(500), 'fix' => self::text(500)], ['fault', 'fix']), 1),
            'cautions' => $list(self::text(300), 1),
            'standIns' => $list(self::object(['for' => self::text(20), 'use' => self::text(500)], ['for', 'use'])),
            'judgesQuality' => ['type' => 'boolean'], 'note' => ['type' => 'string', 'maxLength' => 1000],
        ], [
            'slug',
            'name',
            'family',
            'summary',
            'layout',
            'goodChance',
            'fetchSeconds',
            'organisation',
            'fromAge',
            'points',
            'faults',
            'cautions',
        ])
            + ['oneOf' => array_map(fn (string $one): array => ['required' => [$one]], ['script', 'combination', 'buildUp', 'circuit'])];
    }

    /**
     * @param  list<LayoutParameter>  $parameters
     * @return array<string, mixed>
     */
    private static function layout(string $kind, array $parameters): array
    {
        $fields = ['kind' => ['const' => $kind]];
        foreach ($parameters as $one) {
            $fields[$one->name] = match ($one->type) {
                'length' => ['$ref' => '#/$defs/length'],
                'whole' => self::whole($one->least, $one->most),
                default => ['type' => 'boolean'],
            };
        }

        return self::object(
            $fields,
            [
                'kind',
                ...array_values(
                    array_map(
                        fn (LayoutParameter $one): string => $one->name,
                        array_filter($parameters, fn (LayoutParameter $one): bool => $one->type !== 'flag'),
                    ),
                ),
            ],
        );
    }

    /**
     * @param  list<DoseDeclaration>  $kinds
     * @param  list<string>  $mayBeLeftOut  beside what the kind itself says
     * @return array<string, mixed> each kind with what it asks for and its own limits, as its class declares them
     */
    private static function dose(array $kinds, array $mayBeLeftOut = []): array
    {
        return ['oneOf' => array_map(
            static function (DoseDeclaration $dose) use ($mayBeLeftOut): array {
                $properties = ['kind' => ['const' => $dose->kind]];
                $needed = ['kind'];
                foreach ($dose->fields as $field) {
                    $properties[$field->name] = self::doseField($field);
                    if (! $field->mayBeLeftOut() && ! in_array($field->name, $mayBeLeftOut, true)) {
                        $needed[] = $field->name;
                    }
                }

                return self::object($properties, $needed);
            },
            $kinds,
        )];
    }

    /** @return array<string, mixed> */
    private static function doseField(DoseField $field): array
    {
        $tempo = implode('|', array_column(Tempo::cases(), 'value'));

        return match ($field->type) {
            'whole' => self::whole((int) $field->least, (int) $field->most),
            'seconds', 'minutes', 'limit' => self::number($field->least, $field->most),
            'choice' => ['enum' => array_keys($field->words ?? [])],
            'yes' => ['enum' => [0, 1, true, false]],
            'sides' => self::enum(DoseSides::class),
            'tempos' => ['type' => 'string', 'pattern' => "^(({$tempo})( ({$tempo}))*)?$"],
        };
    }

    /** @return array<string, mixed> */
    private static function scoring(): array
    {
        $codes = fn (array $one): array => ['type' => 'array', 'items' => $one];
        $penalty = self::object(
            ['slug' => self::slug(), 'words' => self::text(500), 'seconds' => self::number(-60.0, 60.0)],
            ['slug', 'words', 'seconds'],
        );

        return self::object([
            'kind' => self::enum(MarkKind::class), 'starts' => self::enum(ClockStart::class), 'stops' => self::enum(ClockStop::class),
            'countsIf' => $codes(self::enum(Condition::class)), 'voids' => $codes(self::enum(VoidReason::class)),
            'fault' => self::object(
                ['what' => self::enum(FaultKind::class), 'costs' => self::enum(FaultCost::class), 'seconds' => self::number(0.0, 60.0)],
                ['what', 'costs'],
            ),
            'words' => ['type' => 'string', 'maxLength' => 500], 'inHalves' => ['type' => 'boolean'],
            'counts' => self::enum(CountUnit::class), 'owed' => self::enum(OwedSets::class),
            'fixed' => ['type' => 'array', 'items' => self::object(
                ['ageGroup' => self::oneOf(AgeGroup::names()), 'number' => self::number(0.0, 9999.0)],
                ['ageGroup', 'number'],
            )],
            'protocol' => self::object(
                [
                    'penalties' => ['type' => 'array', 'minItems' => 1, 'items' => $penalty],
                    'limitSeconds' => self::number(1.0, 3600.0),
                    'perSecondOver' => self::number(0.0, 60.0),
                    'countsPartSeconds' => ['type' => 'boolean'],
                ],
                ['penalties'],
            ),
        ], ['kind', 'starts', 'stops']);
    }

    /** @return array<string, mixed> */
    private static function organisation(): array
    {
        $flag = ['type' => 'boolean'];
        $say = ['type' => 'string', 'maxLength' => 500];

        return self::object([
            'workers' => self::whole(1, 6), 'playerServers' => self::whole(0, 4), 'service' => self::enum(Service::class),
            'manner' => self::enum(ServiceManner::class), 'pattern' => self::enum(Pattern::class),
            'coachServes' => $flag, 'serverMoves' => $flag, 'needsCounter' => $flag, 'keepers' => self::whole(0, 2),
            'keeperMinutes' => self::number(0.0, 60.0),
            'card' => self::object(['give' => self::text(500), 'call' => $say, 'count' => $say, 'stop' => $say], ['give']),
        ], ['workers', 'playerServers', 'service']);
    }

    /** @return array<string, mixed> */
    private static function calling(): array
    {
        $rule = self::object(
            [
                'place' => self::text(40),
                'touches' => ['$ref' => '#/$defs/touches'],
                'foot' => self::enum(CallFoot::class),
                'openBody' => ['type' => 'boolean'],
                'move' => ['type' => 'boolean'],
            ],
            ['place'],
        );

        return self::object([
            'kind' => self::enum(CallKind::class), 'everySeconds' => self::number(1.0, 60.0), 'spread' => self::number(0.0, 0.9),
            'leadSeconds' => self::number(0.0, 10.0), 'inOrder' => self::whole(1, 5),
            'again' => ['type' => 'boolean'], 'twoWay' => ['type' => 'boolean'], 'rules' => ['type' => 'array', 'items' => $rule],
            'commands' => ['type' => 'array', 'items' => self::text(Calling::MOST_LETTERS), 'maxItems' => Calling::MOST_COMMANDS],
        ], ['kind', 'everySeconds']);
    }
}
