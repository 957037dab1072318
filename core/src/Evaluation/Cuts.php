<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use Closure;
use FleetSparrow\Core\Advice\Cut;
use FleetSparrow\Core\Advice\CutKind;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Shared\Memo;
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

    public function __construct(private readonly RoundEvaluator $evaluator, private readonly Memo $memo)
    {
    }

    /**
     * @param  list<Block>  $blocks
     * @param  list<BlockEvaluation>  $evaluations  of the blocks, in their order
     * @param  Quantiles  $overrun  the factor that all has in common that no clock ends
     * @param  float  $slotSeconds  the time there is
     * @param  float  $endSeconds  by which eight in ten end, after the slot
     */
    public function of(array $blocks, array $evaluations, Quantiles $overrun, float $slotSeconds, float $endSeconds): CutAnswer
    {
        $session = TriedSession::of(RoundEvaluator::rounds($blocks), $evaluations, $this->evaluator);
        $questions = $session->questions();
        $ends = $this->ends($session, $questions, $overrun);
        [$cuts, $made, $over, $freed] = [[], [], $endSeconds - $slotSeconds, 0.0];
        $nearly = self::NEARLY * $over;
        // A kind comes before the next one whatever it frees, so what cannot be shown any more is not worked out.
        foreach (CutKind::cases() as $kind) {
            $isEnough = count($cuts) >= self::MOST || count($cuts) >= self::OFFERED && $over <= 0.0;
            foreach ($isEnough ? [] : $this->ofKind($kind, $blocks, $session, $questions) as $cut) {
                if (count($cuts) >= self::MOST || count($cuts) >= self::OFFERED && $over <= 0.0) {
                    break 2;
                }
                $cuts[] = $cut;
                $made[] = [$cut->blockId, $kind];
                $freed += $cut->freedSeconds;
                // Played out only once what it frees on average might be enough.
                if ($over > 0.0 && $freed >= $nearly) {
                    $over = $ends($made) - $slotSeconds;
                }
            }
        }

        return new CutAnswer($cuts, $over <= 0.0 ? 0.0 : max(0.0, $ends($made) - $slotSeconds));
    }

    /**
     * When eight in ten end after so many cuts, asked with more of them each time. It depends on nothing but all the blocks' questions
     * and the cuts, and is kept; only what is not kept is worked out, from the last that was.
     *
     * @param  array<string, string>  $questions  block → everything that the loss of it depends on
     * @return Closure(list<array{string, CutKind}>): float
     */
    private function ends(TriedSession $session, array $questions, Quantiles $overrun): Closure
    {
        $then = $session;
        $done = 0;

        return function (array $made) use (&$then, &$done, $questions, $overrun): float {
            /** @var list<array{string, CutKind}> $made */
            $play = static function () use (&$then, &$done, $made, $overrun): Quantiles {
                [$then, $done] = [$then->without(array_slice($made, $done)), count($made)];

                return Quantiles::fixed(SessionPlays::of($then->evaluations(), $overrun)->at(0.8));
            };

            return $this->memo->kept('ends '.hash('xxh128', serialize([$questions, $made])), $play, Quantiles::class)->mean();
        };
    }

    /**
     * @param  list<Block>  $blocks
     * @param  array<string, string>  $questions  block → everything that the loss of it depends on
     * @return list<Cut> the ones that cost least for what they free first
     */
    private function ofKind(CutKind $kind, array $blocks, TriedSession $session, array $questions): array
    {
        $cuts = [];
        foreach ($blocks as $block) {
            if (! $session->may($block->id, $kind)) {
                continue;
            }
            $loss = $this->memo->kept(
                "cut {$kind->value} {$questions[$block->id]}",
                static fn (): Loss => $session->loss($block->id, $kind),
                Loss::class,
            );
            if ($loss->seconds >= self::LEAST_SECONDS) {
                $cuts[] = self::cut($kind, $block, $loss, $session->feet());
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

    /** @param  array{float, float, float}  $feet  touches of a player in the session: left, right, all */
    private static function cut(CutKind $kind, Block $block, Loss $loss, array $feet): Cut
    {
        $dose = $kind === CutKind::Block ? null : Shorter::dose($block, $kind);

        return new Cut(
            $block->id,
            $kind,
            CutWords::of($kind, $block, $dose, [$feet[0], $feet[1]], [$feet[0] - $loss->left, $feet[1] - $loss->right]),
            $loss->seconds,
            $loss->all,
            $dose,
        );
    }
}
