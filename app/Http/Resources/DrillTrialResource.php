<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Squad;
use App\OpenApi\Shape;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Exception\FieldFault;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Layout\LayoutParameter;

/** What a drill in hand comes to. */
#[Shape('TrialFault', ['path' => 'string', 'message' => 'string'])]
#[
    Shape(
        'LayoutParameter',
        ['name' => 'string', 'label' => 'string', 'type' => "'length'|'whole'|'flag'", 'least' => 'int', 'most' => 'int'],
    ),
]
#[Shape('TrialWork', ['players' => 'int', 'stationsFit' => 'int?', 'block' => 'BlockEvaluation'])]
#[Shape('TrialLine', ['startsNew' => 'bool', 'reasons' => 'string[]'])]
#[
    Shape(
        'TriedDrill',
        ['script' => 'string', 'contacts' => 'Contact[]', 'touchesPerRep' => 'number', 'asks' => 'string[]', 'drawing' => 'Drawing'],
    ),
]
#[
    Shape(
        'DrillTrial',
        [
            'fields' => 'object',
            'faults' => 'TrialFault[]',
            'parameters' => 'LayoutParameter[]',
            'drill' => 'TriedDrill?',
            'worked' => 'TrialWork?',
            'line' => 'TrialLine?',
        ],
    ),
]
final class DrillTrialResource
{
    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, mixed>|null  $worked
     * @param  array{startsNew: bool, reasons: list<string>}|null  $line
     * @return array<string, mixed>
     */
    public static function of(array $fields, Drill $drill, Squad $squad, ?array $worked, ?array $line): array
    {
        $evaluation = $worked['evaluation'] ?? null;
        $drawn = DrillResource::drill($drill, $squad->length_unit);

        return [
            'fields' => $fields,
            'faults' => [],
            'parameters' => self::parameters($fields),
            'drill' => array_intersect_key($drawn, array_flip(['script', 'contacts', 'touchesPerRep', 'asks', 'drawing'])),
            'worked' => $evaluation instanceof PlanEvaluation
                ? [
                    'players' => $worked['players'] ?? 0,
                    'stationsFit' => $worked['stationsFit'] ?? null,
                    'block' => EvaluationResource::of($evaluation, 60)['blocks'][0],
                ]
                : null,
            'line' => $line,
        ];
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    public static function refused(array $fields, InvalidDrill $fault): array
    {
        return [
            'fields' => $fields,
            'faults' => array_map(
                get_object_vars(...),
                $fault->faults === [] ? [new FieldFault($fault->path(), $fault->getMessage())] : $fault->faults,
            ),
            'parameters' => self::parameters($fields),
            'drill' => null,
            'worked' => null,
            'line' => null,
        ];
    }

    /**
     * What may be chosen of the layout in hand; none while its kind is not known.
     *
     * @param  array<string, mixed>  $fields
     * @return list<array<string, mixed>>
     */
    private static function parameters(array $fields): array
    {
        $kind = is_array($fields['layout'] ?? null) ? ($fields['layout']['kind'] ?? null) : null;

        return array_map(
            fn (LayoutParameter $one): array => get_object_vars($one),
            is_string($kind) ? LayoutKinds::standard()->tryParameters($kind) ?? [] : [],
        );
    }
}
