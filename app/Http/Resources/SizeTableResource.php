<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\SessionBlock;
use App\OpenApi\Shape;
use App\Queries\RunPack;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SideNames;

/**
 * The session for another number of people: places 1, 2 … in place of players, so that a phone has only names to put on them. Seats
 * are told role by role, since there are thousands of them: the role, then `~` where most of the stretch is waiting, `+` where it is
 * not owed.
 */
#[Shape('SizeTable', ['size' => 'int', 'blocks' => 'TableBlock[]', 'segments' => 'TableSegment[]'])]
#[Shape('TableBlock', ['id' => 'string'], extends: 'Together')]
#[Shape('TableSegment', [
    'id' => 'string', 'blockId' => 'string', 'kind' => "'set-up'|'explain'|'work'|'rest'|'write'|'change'|'water'|'talk'|'game'",
    'seconds' => 'number', 'endsByClock' => 'bool', 'side' => 'string?', 'item' => 'string?', 'set' => 'int?', 'turn' => 'int?',
    'plainSeconds' => 'number?', 'stations' => 'StationTurn[]', 'places' => 'int[]{}', 'asks' => 'TableAsk[]',
])]
#[Shape('TableAsk', ['place' => 'int', 'blockId' => 'string', 'item' => 'int?', 'set' => 'int', 'byFoot' => 'OwedLine{}'])]
#[Shape('OwedLine', ['side' => "'R'|'L'|'both'|'alternating'", 'lineKey' => 'string'])]
final class SizeTableResource
{
    /** @return list<array<string, mixed>> */
    public static function all(RunPack $pack): array
    {
        $sides = [];
        foreach ($pack->session->blocks as $block) {
            $sides[$block->block_key] = self::named($block);
        }
        $tables = [];
        foreach ($pack->tables as $size => $blocks) {
            $segments = array_merge([], ...array_map(static fn (BlockEvaluation $one): array => $one->segments, $blocks));
            $tables[] = [
                'size' => $size,
                'blocks' => array_map(
                    static fn (BlockEvaluation $one): array => ['id' => $one->blockId] + EvaluationResource::together($one),
                    $blocks,
                ),
                'segments' => array_map(static fn (Segment $one): array => self::segment($one, $sides, $pack->lineKeys), $segments),
            ];
        }

        return $tables;
    }

    /** The side of a dose that is another foot for others; null where it is the same for all. */
    private static function named(SessionBlock $block): ?string
    {
        return match ($block->coreBlock()?->dose?->sides()) {
            DoseSides::Strong => 'strong',
            DoseSides::Weaker => 'weaker',
            default => null,
        };
    }

    /**
     * @param  array<string, string|null>  $sides
     * @param  array<string, string>  $lineKeys
     * @return array<string, mixed>
     */
    private static function segment(Segment $segment, array $sides, array $lineKeys): array
    {
        $plain = array_diff_key(
            EvaluationResource::segment($segment),
            array_flip(['seats', 'working', 'leftTouches', 'rightTouches']),
        );
        $places = [];
        foreach ($segment->seats as $place => $seat) {
            $places[self::code($seat)][] = $place;
        }

        $asks = [];
        foreach ($segment->owed as $one) {
            $ask = self::ask($one, $sides[$one->blockId] ?? null, $lineKeys);
            if ($ask !== null) {
                $asks[] = $ask;
            }
        }

        return $plain + ['places' => (object) $places, 'asks' => $asks];
    }

    private static function code(Seat $seat): string
    {
        return $seat->role->value.($seat->waiting > 0.5 && ! $seat->role->isIdle() ? '~' : '').($seat->isExtra ? '+' : '');
    }

    /**
     * @param  array<string, string>  $lineKeys
     * @return array<string, mixed>|null null where nothing is counted
     */
    private static function ask(Owed $owed, ?string $named, array $lineKeys): ?array
    {
        $byFoot = [];
        foreach ($named === null ? [StrongFoot::Both] : StrongFoot::cases() as $foot) {
            $side = $named === null ? $owed->side : SideNames::sideOf($named, $foot)->value;
            $line = $lineKeys[RunPack::lineKey($owed->blockId, $owed->item, $side)] ?? null;
            if ($line !== null) {
                $byFoot[$foot->value] = ['side' => $side, 'lineKey' => $line];
            }
        }

        return $byFoot === []
            ? null
            : ['place' => $owed->playerId, 'blockId' => $owed->blockId, 'item' => $owed->item, 'set' => $owed->set, 'byFoot' => $byFoot];
    }
}
