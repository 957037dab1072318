<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\CutKind;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Touch\FootBalance;

/** A cut as a coach would say it. */
final class CutWords
{
    /**
     * @param  Dose|null  $dose  what the block does then; null where it goes
     * @param  array{float, float}  $now  touches of a player in the session, left and right
     * @param  array{float, float}  $then
     */
    public static function of(CutKind $kind, Block $block, ?Dose $dose, array $now, array $then): string
    {
        return match ($kind) {
            CutKind::Rest => sprintf(
                'Rest %g s in place of %g in %s',
                $dose?->restSeconds() ?? 0.0,
                $block->dose?->restSeconds() ?? 0.0,
                self::name($block),
            ),
            CutKind::Set => sprintf(
                'One set fewer%s of %s',
                $dose?->sides() === DoseSides::Each ? ' on each foot' : '',
                self::name($block),
            ),
            CutKind::Block => 'Leave out '.self::name($block).self::tips($now, $then),
        };
    }

    private static function name(Block $block): string
    {
        return $block->drill->name ?? ($block->kind === BlockKind::Game ? 'the game' : 'the talk');
    }

    /**
     * @param  array{float, float}  $now
     * @param  array{float, float}  $then
     */
    private static function tips(array $now, array $then): string
    {
        $share = FootBalance::share($then[0], $then[1]);

        return $share < FootBalance::LEAST_SHARE && FootBalance::share($now[0], $now[1]) >= FootBalance::LEAST_SHARE
            ? sprintf(', which leaves the lesser foot %d%% of the touches', (int) round(100 * $share))
            : '';
    }
}
