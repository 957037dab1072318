<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\RecordLine;
use App\Models\SessionBlock;
use App\OpenApi\Shape;
use App\Queries\RunPack;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Timeline\Segment;

/** The run pack: segments with durations, who works in each, which number is asked of whom, and what there is to beat. */
#[Shape('Ask', ['playerId' => 'int', 'lineKey' => 'string', 'item' => 'int?'])]
#[Shape('RunSegment', ['asks' => 'Ask[]'], extends: 'Segment')]
#[Shape('RunBlock', ['id' => 'string', 'kind' => 'string', 'title' => 'string', 'links' => 'int?', 'drill' => 'Drill?'])]
#[
    Shape(
        'RunPack',
        [
            'session' => 'SessionSummary',
            'recap' => 'Recap',
            'players' => 'Player[]',
            'blocks' => 'RunBlock[]',
            'segments' => 'RunSegment[]',
            'lines' => 'Line{}',
            'standings' => 'Standing{}{}',
        ],
    ),
]
final class RunPackResource
{
    /** @return array<string, mixed> */
    public static function of(RunPack $pack, ClubDay $day): array
    {
        $segments = [];
        foreach ($pack->evaluation->blocks as $block) {
            foreach ($block->segments as $segment) {
                $segments[] = EvaluationResource::segment($segment) + ['asks' => self::asks($segment, $pack->lineKeys)];
            }
        }
        $used = [];
        foreach ($segments as $segment) {
            foreach ($segment['asks'] as $ask) {
                $used[$ask['lineKey']] = true;
            }
        }

        return [
            'session' => SessionResource::summary($pack->session, $day),
            'recap' => SessionResource::recap($pack->session),
            'players' => $pack->players->map(PlayerResource::of(...))->values()->all(),
            'blocks' => $pack->session->blocks->map(fn (SessionBlock $block): array => self::block($block, $pack))->values()->all(),
            'segments' => $segments,
            'lines' => (object) array_map(
                fn (RecordLine $line): array => LineResource::line($line, $pack->session->squad->length_unit),
                array_intersect_key($pack->lines, $used),
            ),
            'standings' => (object) array_map(
                fn (array $lines): object => (object) LineResource::standings(
                    array_intersect_key($lines, $used),
                    $pack->aims,
                    $pack->session->squad->showsChances(),
                ),
                $pack->readings,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function block(SessionBlock $block, RunPack $pack): array
    {
        $version = $block->drillVersion;

        return [
            'id' => $block->block_key,
            'kind' => $block->kind->value,
            'title' => $block->title,
            'links' => $block->links,
            'drill' => $version === null ? null : DrillResource::of($version, $pack->session->squad->length_unit),
        ];
    }

    /**
     * @param  array<string, string>  $lineKeys
     * @return list<array{playerId: int, lineKey: string, item: int|null}>
     */
    private static function asks(Segment $segment, array $lineKeys): array
    {
        $asks = [];
        foreach ($segment->owed as $one) {
            $line = $lineKeys[RunPack::lineKey($one->blockId, $one->item, $one->side)] ?? null;
            if ($line !== null) {
                $asks[] = ['playerId' => $one->playerId, 'lineKey' => $line, 'item' => $one->item];
            }
        }

        return $asks;
    }
}
