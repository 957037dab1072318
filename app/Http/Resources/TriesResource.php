<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Mark;
use App\OpenApi\Shape;
use App\Queries\LineTries;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Shared\LengthUnit;

#[
    Shape(
        'TryMark',
        [
            'uuid' => 'string',
            'value' => 'number',
            'isVoid' => 'bool',
            'isDisputed' => 'bool',
            'reason' => 'string',
            'parts' => 'MarkParts?',
            'by' => 'string',
            'source' => "'coach'|'assistant'|'home'",
            'countedBy' => "'coach'|'partner'|'self'",
            'ground' => "'grass'|'turf'|'hard'",
            'recordedAt' => 'instant',
            'stands' => 'bool',
        ],
    ),
]
#[
    Shape(
        'Try',
        ['sessionId' => 'int', 'on' => 'date', 'tryNumber' => 'int', 'value' => 'number?', 'isOpen' => 'bool', 'marks' => 'TryMark[]'],
    ),
]
#[Shape('LineTries', ['playerId' => 'int', 'playerName' => 'string', 'line' => 'Line', 'standing' => 'Standing', 'tries' => 'Try[]'])]
final class TriesResource
{
    /** @return array<string, mixed> */
    public static function of(LineTries $tries, LengthUnit $unit): array
    {
        return [
            'playerId' => $tries->player->id,
            'playerName' => $tries->player->name,
            'line' => LineResource::line($tries->line, $unit),
            'standing' => LineResource::standing(
                $tries->reading,
                Target::of($tries->reading, $tries->aim),
                $tries->player->squad->showsChances(),
            ),
            'tries' => array_map(fn (array $try): array => ['marks' => array_map(self::mark(...), $try['marks'])] + $try, $tries->tries),
        ];
    }

    /**
     * @param  array<string, mixed>  $mark
     * @return array<string, mixed>
     */
    private static function mark(array $mark): array
    {
        return [
            'uuid' => $mark['uuid'],
            'value' => (float) $mark['value'],
            'isVoid' => (bool) $mark['is_void'],
            'isDisputed' => (bool) $mark['is_disputed'],
            'reason' => $mark['reason'],
            'parts' => Mark::partsOf($mark['parts']),
            'by' => $mark['by_name'] ?? 'somebody no longer on the staff',
            'source' => $mark['source'],
            'countedBy' => $mark['counted_by'],
            'ground' => $mark['ground'],
            'recordedAt' => CarbonImmutable::parse((string) $mark['recorded_at_utc'], 'UTC')->toIso8601ZuluString(),
            'stands' => ! (bool) $mark['is_superseded'],
        ];
    }
}
