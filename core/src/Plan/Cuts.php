<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;

/**
 * What could go from a session that is over its slot, smallest loss first: a rest, then a set, then a block; within each, fewest
 * touches lost for the time won. The warm-up and water stay; a cut that tips the balance of the feet says so.
 */
final class Cuts
{
    /** Less than this is not worth a press; this tool's own value. */
    private const LEAST_SECONDS = 15.0;

    private const MOST = 5;

    /** The weaker side of a player's touches under this share is out of balance (default). */
    private const BALANCE = 0.4;

    private const ORDER = ['rest' => 0, 'set' => 1, 'block' => 2];

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
        $all = self::sum($evaluations);
        $cuts = [];
        [$ground, $stations] = [null, 0];
        $isWarmedUp = false;
        foreach ($blocks as $i => $block) {
            if ($block->drill !== null && $block->dose !== null) {
                foreach (self::shorter($block->dose) as $kind => $fields) {
                    $cuts[] = $this->dose($block, $evaluations[$i], $kind, $fields, $ground, $stations);
                }
            }
            if ($isWarmedUp && $block->kind !== BlockKind::Water) {
                $cuts[] = $this->block($blocks, $evaluations, $i, $ground, $stations, $all);
            }
            $isWarmedUp = $isWarmedUp || $block->drill !== null;
            [$ground, $stations] = PlanEvaluator::groundAfter($block, $evaluations[$i], $ground, $stations);
        }
        $cuts = array_values(array_filter($cuts, static fn (?Cut $cut): bool => $cut !== null && $cut->freedSeconds >= self::LEAST_SECONDS));
        usort($cuts, static fn (Cut $a, Cut $b): int => [self::ORDER[$a->kind], $a->touchesLost / $a->freedSeconds, -$a->freedSeconds] <=> [self::ORDER[$b->kind], $b->touchesLost / $b->freedSeconds, -$b->freedSeconds]);

        return array_slice($cuts, 0, self::MOST);
    }

    /** @return array<string, array<string, int|float|string>> kind of cut → fields of the shorter dose */
    private static function shorter(Dose $dose): array
    {
        $fields = $dose->fields();
        $rest = 5.0 * floor($dose->restSeconds() * 2 / 3 / 5);

        return array_filter([
            'rest' => $dose->restSeconds() >= 15.0 && $rest >= 5.0 ? ['restSeconds' => $rest] + $fields : null,
            'set' => is_int($fields['sets'] ?? null) && $fields['sets'] > 1 ? ['sets' => $fields['sets'] - 1] + $fields : null,
        ]);
    }

    /** @param  array<string, int|float|string>  $fields */
    private function dose(Block $block, BlockEvaluation $now, string $kind, array $fields, ?Layout $ground, int $stations): ?Cut
    {
        if ($block->drill === null) {
            return null;
        }
        try {
            $dose = $block->drill->doseFrom($fields);
        } catch (InvalidDose) {
            return null;
        }
        $then = $this->evaluator->evaluate($block->withDose($dose), $ground, $stations);
        $name = $block->drill->name;
        $words = $kind === 'rest'
            ? sprintf('Rest %g s in place of %g in %s', $dose->restSeconds(), $block->dose?->restSeconds() ?? 0.0, $name)
            : sprintf('One set fewer%s of %s', $dose->sides() === DoseSides::Each ? ' on each foot' : '', $name);

        return new Cut($block->id, $kind, $words, $now->meanSeconds() - $then->meanSeconds(), self::contacts($now) - self::contacts($then), $dose);
    }

    /**
     * @param  list<Block>  $blocks
     * @param  list<BlockEvaluation>  $evaluations
     */
    private function block(array $blocks, array $evaluations, int $i, ?Layout $ground, int $stations, Tally $all): Cut
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
        $left = self::share($all);
        $then = self::share($all->plus(self::sum([$evaluations[$i]])->times(-1.0)));
        $tips = $then < self::BALANCE && $left >= self::BALANCE ? sprintf(', which leaves the lesser foot %d%% of the touches', (int) round(100 * $then)) : '';
        $what = $blocks[$i]->drill->name ?? ($blocks[$i]->kind === BlockKind::Game ? 'the game' : 'the talk');

        return new Cut($blocks[$i]->id, 'block', "Leave out {$what}{$tips}", $freed, self::contacts($evaluations[$i]), null);
    }

    private static function share(Tally $touches): float
    {
        [$left, $right] = [$touches->contactsOf(FootMark::Left), $touches->contactsOf(FootMark::Right)];

        return $left + $right > 0.0 ? min($left, $right) / ($left + $right) : 0.5;
    }

    /** @param  list<BlockEvaluation>  $evaluations */
    private static function sum(array $evaluations): Tally
    {
        $sum = Tally::zero();
        foreach ($evaluations as $evaluation) {
            foreach ($evaluation->touches as $tally) {
                $sum = $sum->plus($tally);
            }
        }

        return $sum;
    }

    private static function contacts(BlockEvaluation $evaluation): float
    {
        return self::sum([$evaluation])->contacts() / max(1, count($evaluation->touches));
    }
}
