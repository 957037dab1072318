<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Mark;
use App\Models\RecordLine;
use App\Models\SessionBlock;
use App\OpenApi\Shape;
use App\Queries\RunPack;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Organisation\OneMoreBall;
use FleetSparrow\Core\Run\CallSequence;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;

/** The run pack: segments with durations, who works in each, which number is asked of whom, and what there is to beat. */
#[Shape('Ask', [
    'playerId' => 'int', 'lineKey' => 'string', 'item' => 'int?', 'blockId' => 'string',
    'side' => "'R'|'L'|'both'|'alternating'", 'set' => 'int',
])]
#[Shape('RunSegment', ['asks' => 'Ask[]'], extends: 'Segment')]
#[Shape('Call', [
    'atSeconds' => 'number', 'ballSeconds' => 'number', 'places' => 'string[]', 'number' => 'int?', 'asks' => 'string',
    'command' => 'string?',
])]
#[Shape('RunBlock', [
    'id' => 'string', 'kind' => 'string', 'title' => 'string', 'links' => 'int?', 'drill' => 'Drill?', 'dose' => 'Dose?',
    'tempo' => 'string?',
    'easier' => 'string?', 'harder' => 'string?', 'oneMoreBall' => 'string?',
    'mayNot' => 'int[]', 'calls' => 'Call[]', 'callKind' => "'colour'|'number'|'side'|'name'|'movement'?",
], extends: 'Together')]
#[Shape('Taken', [
    'uuid' => 'string', 'playerId' => 'int', 'lineKey' => 'string', 'tryNumber' => 'int', 'value' => 'number', 'isVoid' => 'bool',
    'reason' => 'string', 'parts' => 'MarkParts?',
])]
#[
    Shape(
        'RunPack',
        [
            'footWording' => "'other'|'weaker'",
            'session' => 'SessionSummary',
            'recap' => 'Recap',
            'players' => 'Player[]',
            'blocks' => 'RunBlock[]',
            'segments' => 'RunSegment[]',
            'lines' => 'Line{}',
            'standings' => 'Standing{}{}',
            'taken' => 'Taken[]',
            'others' => 'Player[]',
            'tables' => 'SizeTable[]',
            'reminders' => 'OpenReminder[]',
            'watchedIds' => 'int[]',
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

        return [
            'footWording' => $pack->session->squad->foot_wording,
            'session' => SessionResource::summary($pack->session, $day),
            'recap' => SessionResource::recap($pack->session),
            'players' => $pack->players->map(PlayerResource::of(...))->values()->all(),
            'blocks' => $pack->session->blocks->map(fn (SessionBlock $block): array => self::block($block, $pack))->values()->all(),
            'segments' => $segments,
            'lines' => (object) array_map(
                fn (RecordLine $line): array => LineResource::line($line, $pack->session->squad->length_unit),
                $pack->lines,
            ),
            'standings' => (object) array_map(
                fn (array $lines): object => (object) LineResource::standings(
                    $lines,
                    $pack->aims,
                    $pack->session->squad->showsChances(),
                ),
                $pack->readings,
            ),
            'others' => $pack->others->map(PlayerResource::of(...))->values()->all(),
            'tables' => SizeTableResource::all($pack),
            'reminders' => ReminderResource::open($pack->reminders->open()),
            'watchedIds' => $pack->reminders->watched(),
            'taken' => array_map(static fn (Mark $mark): array => [
                'uuid' => $mark->uuid,
                'playerId' => $mark->player_id,
                'lineKey' => $mark->line_key,
                'tryNumber' => $mark->try_number,
                'value' => (float) $mark->value,
                'isVoid' => $mark->is_void,
                'reason' => $mark->reason,
                'parts' => Mark::partsOf($mark->parts),
            ], $pack->taken),
        ];
    }

    /** @return array<string, mixed> */
    private static function block(SessionBlock $block, RunPack $pack): array
    {
        $version = $block->drillVersion;
        $worked = array_column($pack->evaluation->blocks, null, 'blockId')[$block->block_key];

        return [
            'id' => $block->block_key,
            'kind' => $block->kind->value,
            'title' => $block->title,
            'links' => $block->links,
            'drill' => $version === null ? null : DrillResource::of($version, $pack->session->squad->length_unit),
            'dose' => $block->coreBlock()?->dose?->fields(),
            'tempo' => $version === null ? null : ($block->tempo ?? Tempo::Steady)->value,
            'easier' => $pack->steps[$version->slug ?? '']['easier'] ?? null,
            'harder' => $pack->steps[$version->slug ?? '']['harder'] ?? null,
            'oneMoreBall' => self::oneMoreBall($block, $worked, $pack->players->count()),
            'mayNot' => $pack->mayNot[$block->block_key] ?? [],
            'calls' => self::calls($block, $worked, $pack->session->id),
            'callKind' => $version?->drill()->demands->calling?->kind->value,
        ] + EvaluationResource::together($worked);
    }

    private static function oneMoreBall(SessionBlock $block, BlockEvaluation $worked, int $players): ?string
    {
        $drill = $block->drillVersion?->drill();

        return $drill === null ? null : OneMoreBall::words(
            $drill,
            $drill->pace($block->tempo ?? Tempo::Steady)->secondsPerRep,
            intdiv($players, max(1, $worked->stations)),
        );
    }

    /**
     * Of another seed in every session and block; twice the work planned, for sets that are done again.
     *
     * @return list<array<string, mixed>>
     */
    private static function calls(SessionBlock $block, BlockEvaluation $worked, int $sessionId): array
    {
        $drill = $block->drillVersion?->drill();
        if ($drill === null || $drill->demands->calling === null) {
            return [];
        }
        $work = array_sum(array_map(
            static fn (Segment $one): float => $one->kind === SegmentKind::Work ? $one->seconds : 0.0,
            $worked->segments,
        ));

        return array_map(
            get_object_vars(...),
            CallSequence::of($drill->demands->calling, $drill->layout, 1000 * $sessionId + $block->position, 2.0 * $work),
        );
    }

    /**
     * @param  array<string, string>  $lineKeys
     * @return list<array{playerId: int, lineKey: string, item: int|null, blockId: string, side: string, set: int}>
     */
    private static function asks(Segment $segment, array $lineKeys): array
    {
        $asks = [];
        foreach ($segment->owed as $one) {
            $line = $lineKeys[RunPack::lineKey($one->blockId, $one->item, $one->side)] ?? null;
            if ($line !== null) {
                $asks[] = [
                    'playerId' => $one->playerId,
                    'lineKey' => $line,
                    'item' => $one->item,
                    'blockId' => $one->blockId,
                    'side' => $one->side,
                    'set' => $one->set,
                ];
            }
        }

        return $asks;
    }
}
