<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\Cut;
use FleetSparrow\Core\Advice\CutKind;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\SessionPlays;

/**
 * What could go from a session that is over its slot, smallest loss first: a rest, then a set, then a block; within each, fewest
 * touches lost for the time won. Enough of them to bring it into its slot, where that can be. The warm-up and water stay; a cut that
 * tips the balance of the feet says so.
 */
final class Cuts
{
    /** Less than this is not worth a press; this tool's own value. */
    private const LEAST_SECONDS = 15.0;

    /** So many are offered though fewer would do: a coach chooses. */
    private const OFFERED = 5;

    /** Whoever has to leave out more than this plans another session. */
    private const MOST = 12;

    /** Of what is over, freed on average: from there on it may be enough. */
    private const NEARLY = 0.7;

    public function __construct(private readonly RoundEvaluator $evaluator)
    {
    }

    /**
     * @param  list<Block>  $blocks
     * @param  list<BlockEvaluation>  $evaluations  of the blocks, in their order
     * @param  Quantiles  $overrun  the factor that all has in common that no clock ends
     * @param  float  $overSeconds  by which eight in ten end after the slot
     */
    public function of(array $blocks, array $evaluations, Quantiles $overrun, float $overSeconds): CutAnswer
    {
        $then = $session = TriedSession::of(RoundEvaluator::rounds($blocks), $evaluations, $this->evaluator);
        $ends = static fn (TriedSession $one): float => SessionPlays::of($one->evaluations(), $overrun)->at(0.8);
        $slot = $ends($session) - $overSeconds;
        [$cuts, $over, $freed] = [[], $overSeconds, 0.0];
        // A kind comes before the next one whatever it frees, so what cannot be shown any more is not worked out.
        foreach (CutKind::cases() as $kind) {
            $isEnough = count($cuts) >= self::MOST || count($cuts) >= self::OFFERED && $over <= 0.0;
            foreach ($isEnough ? [] : $this->ofKind($kind, $blocks, $session) as $cut) {
                if (count($cuts) >= self::MOST || count($cuts) >= self::OFFERED && $over <= 0.0) {
                    break 2;
                }
                $cuts[] = $cut;
                if ($over > 0.0) {
                    $then = $then->cut($cut);
                    $freed += $cut->freedSeconds;
                    // Played out only once what it frees on average might be enough.
                    $over = $freed < self::NEARLY * $overSeconds ? $over : $ends($then) - $slot;
                }
            }
        }

        return new CutAnswer($cuts, $over <= 0.0 ? 0.0 : max(0.0, $ends($then) - $slot));
    }

    /**
     * @param  list<Block>  $blocks
     * @return list<Cut> the ones that cost least for what they free first
     */
    private function ofKind(CutKind $kind, array $blocks, TriedSession $session): array
    {
        $cuts = [];
        foreach ($blocks as $block) {
            $cut = $session->offer($block->id, $kind);
            if ($cut !== null && $cut->freedSeconds >= self::LEAST_SECONDS) {
                $cuts[] = $cut;
            }
        }
        usort(
            $cuts,
            static fn (Cut $a, Cut $b): int => [
                $a->touchesLost / $a->freedSeconds,
                -$a->freedSeconds,
            ] <=> [$b->touchesLost / $b->freedSeconds, -$b->freedSeconds],
        );

        return $cuts;
    }
}
