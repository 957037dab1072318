<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Cure;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Timeline\BlockEvaluation;

/** What only stations at the same time ask for: people at each, kit for all at once, and somebody to count where a count needs it. */
final class RoundWarnings
{
    /**
     * @param  non-empty-list<Block>  $blocks
     * @param  non-empty-list<BlockEvaluation>  $evaluations
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     * @return list<Warning>
     */
    public static function of(array $blocks, array $evaluations, array $groups, PlanContext $context): array
    {
        return [
            ...self::empty($blocks, $groups),
            ...self::kit($evaluations, $context),
            ...self::counters($blocks, 1 + $context->helpers),
        ];
    }

    /**
     * @param  non-empty-list<Block>  $blocks
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     * @return list<Warning>
     */
    private static function empty(array $blocks, array $groups): array
    {
        $empty = count($blocks) - count($groups);

        return $empty <= 0 ? [] : [new Warning(
            sprintf(
                '%d stations and %d %s: %d %s empty in every turn. Take stations out, or run them one after the other.',
                count($blocks),
                count($groups),
                count($groups) === 1 ? 'player' : 'players',
                $empty,
                $empty === 1 ? 'stands' : 'stand',
            ),
            null,
            'stations',
        )];
    }

    /**
     * @param  non-empty-list<BlockEvaluation>  $evaluations
     * @return list<Warning>
     */
    private static function kit(array $evaluations, PlanContext $context): array
    {
        $kit = null;
        foreach ($evaluations as $evaluation) {
            $here = $evaluation->kit;
            $kit = $kit === null || $here === null ? $here ?? $kit : $kit->plus($here);
        }

        return $kit === null ? [] : array_map(
            static fn (string $sentence): Warning => new Warning("All stations at once: {$sentence}", null, 'kit'),
            $context->kit->shortages($kit),
        );
    }

    /**
     * @param  non-empty-list<Block>  $blocks
     * @return list<Warning>
     */
    private static function counters(array $blocks, int $adults): array
    {
        $counters = count(array_filter($blocks, static fn (Block $block): bool => $block->drill?->organisation->needsCounter === true));

        return $counters <= $adults ? [] : [new Warning(
            sprintf(
                '%d stations need somebody to watch and count, and there %s.',
                $counters,
                $adults === 1 ? 'is one grown-up' : "are {$adults} grown-ups",
            ),
            Cure::helper(),
            'server',
        )];
    }
}
