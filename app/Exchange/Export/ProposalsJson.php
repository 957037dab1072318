<?php

declare(strict_types=1);

namespace App\Exchange\Export;

use FleetSparrow\Core\Builder\BuildAnswer;
use FleetSparrow\Core\Builder\LeftOut;
use FleetSparrow\Core\Builder\Proposal;
use FleetSparrow\Core\Builder\ProposedBlock;
use FleetSparrow\Core\Builder\Reason;
use FleetSparrow\Core\Builder\Refusal;

/** Proposed sessions as JSON: each block with its reasons and the figures behind them, and each wish refused with what would work. */
final class ProposalsJson
{
    /** Version 2 has evaluations with seats and rounds. */
    public const VERSION = 2;

    /**
     * @return array{theme: string, slotMinutes: int, proposals: list<array{worth: float, notes: list<string>,
     *     blocks: list<array{drill: string|null, ...}>, evaluation: array<string, mixed>}>, refusals: list<array<string, string>>,
     *     leftOut: list<array<string, string>>}
     */
    public static function of(BuildAnswer $answer): array
    {
        return [
            'theme' => $answer->theme->value,
            'slotMinutes' => $answer->slotMinutes,
            'proposals' => array_map(fn (Proposal $one): array => self::proposal($one, $answer->slotMinutes), $answer->proposals),
            'refusals' => array_map(
                fn (Refusal $one): array => ['wish' => $one->wish, 'reason' => $one->reason, 'instead' => $one->instead],
                $answer->refusals,
            ),
            'leftOut' => array_map(static fn (LeftOut $one): array => ['drill' => $one->drill, 'why' => $one->why], $answer->leftOut),
        ];
    }

    /** @return array{worth: float, notes: list<string>, blocks: list<array{drill: string|null, ...}>, evaluation: array<string, mixed>} */
    private static function proposal(Proposal $proposal, int $slotMinutes): array
    {
        return [
            'worth' => round($proposal->worth, 3),
            'notes' => $proposal->notes,
            'blocks' => array_map(self::block(...), $proposal->blocks),
            'evaluation' => EvaluationJson::of($proposal->evaluation, $slotMinutes),
        ];
    }

    /** @return array{drill: string|null, ...} */
    private static function block(ProposedBlock $proposed): array
    {
        $block = $proposed->block;

        return [
            'id' => $block->id,
            'kind' => $block->kind->value,
            'title' => $proposed->title,
            'minutes' => $block->drill === null ? $block->minutes : null,
            'drill' => $block->drill?->slug,
            'dose' => $block->dose?->fields(),
            'tempo' => $block->drill === null ? null : $block->tempo->value,
            'stations' => $block->stations,
            'counted' => $block->counted?->name(),
            'phase' => $proposed->phase?->words(),
            'reasons' => array_map(
                fn (Reason $one): array => [
                    'term' => $one->term,
                    'words' => $one->words,
                    'value' => round($one->value, 3),
                    'points' => round($one->points, 2),
                ],
                $proposed->reasons,
            ),
        ];
    }
}
