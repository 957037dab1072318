<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\Cut;
use FleetSparrow\Core\Advice\CutKind;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Touch\FootBalance;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;
use FleetSparrow\Core\Touch\TallyReader;

/**
 * What could go from a session that is over its slot, smallest loss first: a rest, then a set, then a block; within each, fewest
 * touches lost for the time won. The warm-up and water stay; a cut that tips the balance of the feet says so.
 */
final class Cuts
{
    /** Less than this is not worth a press; this tool's own value. */
    private const LEAST_SECONDS = 15.0;

    private const MOST = 5;

    public function __construct(private readonly BlockEvaluator $evaluator)
    {
    }

    /**
     * @param  list<Block>  $blocks
     * @param  list<BlockEvaluation>  $evaluations  of the blocks, in their order
     * @return list<Cut>
     */
    public function of(array $blocks, array $evaluations): array
    {
        $feet = [0.0, 0.0];
        foreach ($evaluations as $evaluation) {
            [$left, $right] = self::touches($evaluation);
            $feet = [$feet[0] + $left, $feet[1] + $right];
        }
        $grounds = self::grounds($blocks, $evaluations);
        $cuts = [];
        // A kind comes before the next one whatever it frees, so what cannot be shown any more is not worked out.
        foreach (CutKind::cases() as $kind) {
            $some = [];
            foreach ($blocks as $i => $block) {
                $cut = $kind === CutKind::Block ? ($grounds[$i]['mayGo'] ? $this->block(
                    $blocks,
                    $evaluations,
                    $i,
                    $grounds[$i]['layout'],
                    $grounds[$i]['stations'],
                    $feet,
                ) : null)
                    : $this->dose($block, $evaluations[$i], $kind, $grounds[$i]['layout'], $grounds[$i]['stations']);
                if ($cut !== null && $cut->freedSeconds >= self::LEAST_SECONDS) {
                    $some[] = $cut;
                }
            }
            usort(
                $some,
                static fn (Cut $a, Cut $b): int => [
                    $a->touchesLost / $a->freedSeconds,
                    -$a->freedSeconds,
                ] <=> [$b->touchesLost / $b->freedSeconds, -$b->freedSeconds],
            );
            $cuts = [...$cuts, ...$some];
            if (count($cuts) >= self::MOST) {
                break;
            }
        }

        return array_slice($cuts, 0, self::MOST);
    }

    /**
     * What stands when each block begins, and whether it may go: the first drill warms up, and water stays.
     *
     * @param  list<Block>  $blocks
     * @param  list<BlockEvaluation>  $evaluations
     * @return list<array{layout: Layout|null, stations: int, mayGo: bool}>
     */
    private static function grounds(array $blocks, array $evaluations): array
    {
        $grounds = [];
        [$ground, $stations] = [null, 0];
        $isWarmedUp = false;
        foreach ($blocks as $i => $block) {
            $grounds[] = [
                'layout' => $ground,
                'stations' => $stations,
                'mayGo' => $isWarmedUp && $block->kind !== BlockKind::Water && $block->together === null,
            ];
            $isWarmedUp = $isWarmedUp || $block->drill !== null;
            [$ground, $stations] = PlanEvaluator::groundAfter($block, $evaluations[$i], $ground, $stations);
        }

        return $grounds;
    }

    /** @return array<string, int|float|string>|null fields of the shorter dose; null where it cannot be cut so */
    private static function shorter(Dose $dose, CutKind $kind): ?array
    {
        $fields = $dose->fields();
        $rest = 5.0 * floor($dose->restSeconds() * 2 / 3 / 5);

        return match (true) {
            $kind === CutKind::Rest => $dose->restSeconds() >= 15.0 && $rest >= 5.0 ? ['restSeconds' => $rest] + $fields : null,
            is_int($fields['sets'] ?? null) && $fields['sets'] > 1 => ['sets' => $fields['sets'] - 1] + $fields,
            default => null,
        };
    }

    private function dose(Block $block, BlockEvaluation $now, CutKind $kind, ?Layout $ground, int $stations): ?Cut
    {
        // Stations that run at the same time are only shorter together.
        $fields = $block->dose === null || $block->together !== null ? null : self::shorter($block->dose, $kind);
        if ($block->drill === null || $fields === null) {
            return null;
        }
        try {
            $dose = $block->drill->doseFrom($fields);
        } catch (InvalidDose) {
            return null;
        }
        $then = $this->evaluator->evaluate($block->withDose($dose), $ground, $stations);
        $name = $block->drill->name;
        $words = $kind === CutKind::Rest
            ? sprintf('Rest %g s in place of %g in %s', $dose->restSeconds(), $block->dose->restSeconds(), $name)
            : sprintf('One set fewer%s of %s', $dose->sides() === DoseSides::Each ? ' on each foot' : '', $name);

        return new Cut(
            $block->id,
            $kind,
            $words,
            $now->meanSeconds() - $then->meanSeconds(),
            self::touches($now)[2] - self::touches($then)[2],
            $dose,
        );
    }

    /**
     * @param  list<Block>  $blocks
     * @param  list<BlockEvaluation>  $evaluations
     * @param  array{float, float}  $feet  touches of a player in the whole session, left and right
     */
    private function block(array $blocks, array $evaluations, int $i, ?Layout $ground, int $stations, array $feet): Cut
    {
        $freed = $evaluations[$i]->meanSeconds();
        // What comes after is laid out from what stood before.
        foreach (array_slice($blocks, $i + 1, null, true) as $next => $block) {
            if ($block->drill !== null) {
                $freed += $evaluations[$next]->meanSeconds() - $this->evaluator->evaluate($block, $ground, $stations)->meanSeconds();
            }
            if ($block->drill !== null || $block->kind === BlockKind::Game) {
                break;
            }
        }
        [$left, $right, $contacts] = self::touches($evaluations[$i]);
        $before = FootBalance::share($feet[0], $feet[1]);
        $then = FootBalance::share($feet[0] - $left, $feet[1] - $right);
        $tips = $then < FootBalance::LEAST_SHARE && $before >= FootBalance::LEAST_SHARE
            ? sprintf(', which leaves the lesser foot %d%% of the touches', (int) round(100 * $then))
            : '';
        $what = $blocks[$i]->drill->name ?? ($blocks[$i]->kind === BlockKind::Game ? 'the game' : 'the talk');

        return new Cut($blocks[$i]->id, CutKind::Block, "Leave out {$what}{$tips}", $freed, $contacts, null);
    }

    /**
     * Touches of one player on average. Players who work alike share one tally, which is then read once.
     *
     * @return array{float, float, float} left foot, right foot, all
     */
    private static function touches(BlockEvaluation $evaluation): array
    {
        $read = new TallyReader(
            static fn (Tally $tally): array => [
                $tally->contactsOf(FootMark::Left),
                $tally->contactsOf(FootMark::Right),
                $tally->contacts(),
            ],
        );
        $sum = [0.0, 0.0, 0.0];
        foreach ($evaluation->touches as $tally) {
            [$left, $right, $all] = $read->of($tally);
            $sum = [$sum[0] + $left, $sum[1] + $right, $sum[2] + $all];
        }
        $players = max(1, count($evaluation->touches));

        return [$sum[0] / $players, $sum[1] / $players, $sum[2] / $players];
    }
}
