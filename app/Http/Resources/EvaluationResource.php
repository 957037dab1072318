<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Exchange\Export\EvaluationJson;
use App\OpenApi\Shape;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Segment;

/** A worked-out session; seconds from the start of the session, touches for one player on average over those coming. */
#[Shape('Touches', ['left' => 'int', 'right' => 'int', 'other' => 'int', 'bySurface' => 'any'])]
#[Shape('Segment', [
    'id' => 'string', 'blockId' => 'string', 'kind' => "'set-up'|'explain'|'work'|'rest'|'write'|'change'|'water'|'talk'|'game'",
    'seconds' => 'number', 'endsByClock' => 'bool', 'side' => 'string?',
    'item' => 'string?', 'set' => 'int?', 'turn' => 'int?', 'working' => 'int[]', 'leftTouches' => 'number', 'rightTouches' => 'number',
    'plainSeconds' => 'number?', 'stations' => 'StationTurn[]', 'seats' => 'Seat[]',
])]
#[Shape('Seat', [
    'playerId' => 'int', 'role' => 'string', 'slot' => 'int', 'ball' => 'number', 'wait' => 'number', 'isExtra' => 'bool',
])]
#[Shape('StationTurn', ['blockId' => 'string', 'playerIds' => 'int[]'])]
#[Shape('Reset', [
    'kept' => 'int', 'moved' => 'int', 'added' => 'int', 'lifted' => 'int', 'laid' => "'before'|'meanwhile'|'between'", 'words' => 'string',
])]
#[Shape('Cure', [
    'kind' => "'stations'|'take-out'|'water'|'helper'|'dose'", 'words' => 'string', 'stations' => 'int?', 'dose' => 'Dose?',
])]
#[Shape('Warning', ['sentence' => 'string', 'cure' => 'Cure?', 'code' => 'string', 'isBarred' => 'bool'])]
#[Shape('StationGroup', ['workers' => 'int[]', 'servers' => 'int[]', 'isHelped' => 'bool'])]
#[Shape('Duty', ['playerId' => 'int', 'kind' => "'keeper'|'server'|'counts'"])]
#[
    Shape(
        'PlayerShare',
        [
            'playerId' => 'int',
            'ballSeconds' => 'int',
            'servingSeconds' => 'int',
            'waitingSeconds' => 'int',
            'longestWaitSeconds' => 'int',
            'left' => 'int',
            'right' => 'int',
            'other' => 'int',
        ],
    ),
]
#[Shape('KitList', ['markers' => 'int{}', 'equipment' => 'int{}', 'bibs' => 'int'])]
#[Shape('StationSize', ['width' => 'number', 'depth' => 'number', 'clearance' => 'number'])]
#[
    Shape(
        'Cut',
        [
            'blockId' => 'string',
            'kind' => "'rest'|'set'|'block'",
            'words' => 'string',
            'freedSeconds' => 'number',
            'touchesLost' => 'int',
            'dose' => 'Dose?',
        ],
    ),
]
#[Shape('MayCount', ['kind' => 'string', 'words' => 'string'])]
#[Shape('AgeDose', ['ageGroup' => 'string', 'playerIds' => 'int[]', 'dose' => 'Dose'])]
#[Shape('Together', [
    'stations' => 'int', 'how' => 'string[]', 'reset' => 'Reset?', 'groups' => 'StationGroup[]', 'duties' => 'Duty[]',
    'round' => 'StationTurn[][]', 'ages' => 'AgeDose[]',
])]
#[Shape('BlockEvaluation', [
    'id' => 'string', 'startSeconds' => 'number', 'meanSeconds' => 'number', 'standardDeviationSeconds' => 'number?',
    'fiveInTenSeconds' => 'number?', 'eightInTenSeconds' => 'number?', 'partSeconds' => 'number{}', 'turns' => 'int',
    'markers' => 'int', 'longestWaitSeconds' => 'number', 'touches' => 'Touches', 'segments' => 'Segment[]', 'warnings' => 'Warning[]',
    'players' => 'PlayerShare[]', 'kit' => 'KitList?', 'stationMetres' => 'StationSize?', 'counts' => 'string?', 'mayCount' => 'MayCount[]',
], extends: 'Together')]
#[Shape('Remark', ['rule' => 'string', 'sentence' => 'string', 'cure' => 'string', 'blockId' => 'string?'])]
#[Shape('Evaluation', [
    'meanSeconds' => 'number', 'standardDeviationSeconds' => 'number', 'fiveInTenSeconds' => 'number', 'eightInTenSeconds' => 'number',
    'chanceInSlot' => 'number', 'touches' => 'Touches', 'blocks' => 'BlockEvaluation[]', 'cuts' => 'Cut[]',
    'stillOverSeconds' => 'number', 'warnings' => 'Warning[]',
    'remarks' => 'Remark[]', 'kit' => 'KitList', 'players' => 'PlayerShare[]',
])]
final class EvaluationResource
{
    /** @return array<string, mixed> players by block not told */
    public static function of(PlanEvaluation $evaluation, int $slotMinutes): array
    {
        return EvaluationJson::of($evaluation, $slotMinutes, playersOf: []);
    }

    /** @return array<string, mixed> */
    public static function segment(Segment $segment): array
    {
        return EvaluationJson::segment($segment);
    }

    /** @return array<string, mixed> */
    public static function together(BlockEvaluation $block): array
    {
        return EvaluationJson::together($block);
    }
}
