<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Clock\LaidOut;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\BlockEvaluation;

/**
 * The same running order for other numbers of people, so that at the pitch nothing is left to do but to put names on the places:
 * players 1, 2 … stand for whoever comes. They have no past and no numbers of their own; all may do everything.
 */
final class OtherSizes
{
    /**
     * @param  list<Block>  $blocks
     * @param  list<int<1, max>>  $sizes
     * @return array<int, list<BlockEvaluation>> number of people → blocks
     */
    public static function of(array $blocks, PlanContext $context, array $sizes): array
    {
        $rounds = RoundEvaluator::rounds($blocks);
        $worked = [];
        foreach ($sizes as $size) {
            $nobody = PlanContext::of(
                players: array_map(static fn (int $one): PlanPlayer => new PlanPlayer($one, StrongFoot::Both), range(1, $size)),
                knownDrills: $context->knownDrills,
                rules: $context->rules,
                kit: $context->kit,
                area: $context->area,
                helpers: $context->helpers,
                memo: $context->memo,
                isLaidBefore: $context->isLaidBefore,
            );
            $draw = new GroupDraw(new SeasonPast, $nobody->helpers, $nobody->kit);
            $worked[$size] = (new RoundEvaluator($nobody, $draw, new LaidOut, Detail::Sheet))->all($rounds);
        }

        return $worked;
    }
}
