<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Clock\LaidOut;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Timeline\BlockEvaluation;

/** Works out blocks that begin together: one by itself, or stations at the same time. */
final class RoundEvaluator
{
    private readonly BlockEvaluator $blocks;

    private readonly RoundOfStations $stations;

    public function __construct(
        private readonly PlanContext $context,
        GroupDraw $draw,
        LaidOut $laid,
        Detail $detail = Detail::All,
    ) {
        $this->blocks = new BlockEvaluator($context, $draw, $detail, $laid);
        $this->stations = new RoundOfStations($context, $draw, $this->blocks);
    }

    /** Everything beside the running order and the past that a block's figures depend on, in a word. */
    public function situation(): string
    {
        $context = $this->context;

        return hash('xxh128', serialize([
            $context->players,
            $context->knownDrills,
            [$context->rules, $context->kit, $context->area],
            [$context->helpers, $context->isLaidBefore],
        ]));
    }

    /**
     * Blocks in a row that run at the same time are one round.
     *
     * @param  list<Block>  $blocks
     * @return list<non-empty-list<Block>>
     */
    public static function rounds(array $blocks): array
    {
        $rounds = [];
        $before = null;
        foreach ($blocks as $block) {
            if ($block->together !== null && $block->together === $before) {
                $rounds[count($rounds) - 1][] = $block;
            } else {
                $rounds[] = [$block];
            }
            $before = $block->together;
        }

        return $rounds;
    }

    /**
     * @param  non-empty-list<Block>  $round
     * @return list<BlockEvaluation>
     */
    public function evaluate(array $round, Standing $ground): array
    {
        return count($round) === 1 ? [$this->blocks->evaluate($round[0], $ground)] : $this->stations->evaluate($round, $ground);
    }

    /**
     * @param  list<non-empty-list<Block>>  $rounds
     * @return list<BlockEvaluation> in their order, each from the ground the one before leaves
     */
    public function all(array $rounds): array
    {
        [$evaluations, $ground] = [[], new Standing];
        foreach ($rounds as $round) {
            $these = $this->evaluate($round, $ground);
            $ground = $this->after($round, $these, $ground);
            $evaluations = [...$evaluations, ...$these];
        }

        return $evaluations;
    }

    /**
     * The same round from another ground.
     *
     * @param  non-empty-list<Block>  $round
     * @param  list<BlockEvaluation>  $worked
     * @return list<BlockEvaluation>
     */
    public function laidAgain(array $round, array $worked, Standing $ground): array
    {
        return count($round) === 1 && isset($worked[0])
            ? [$this->blocks->laidAgain($round[0], $worked[0], $ground)]
            : $this->evaluate($round, $ground);
    }

    /**
     * How things stand once a round is over.
     *
     * @param  list<Block>  $round
     * @param  list<BlockEvaluation>  $evaluations
     */
    public function after(array $round, array $evaluations, Standing $ground): Standing
    {
        return $ground->after($round, $evaluations, $this->context);
    }
}
