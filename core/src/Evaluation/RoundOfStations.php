<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\RoundWarnings;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Rotation\StationRound;
use FleetSparrow\Core\Statistics\LogNormals;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;

/**
 * Blocks that run at the same time, each a station, with groups going round: every group visits every station once. They move on the
 * whistle, which is the default because nobody waits for anybody, or when all are done.
 * Everything is laid out and explained before the first turn.
 */
final class RoundOfStations
{
    public function __construct(
        private readonly PlanContext $context,
        private readonly GroupDraw $draw,
        private readonly BlockEvaluator $evaluator,
    ) {
    }

    /**
     * @param  non-empty-list<Block>  $blocks
     * @return list<BlockEvaluation>
     */
    public function evaluate(array $blocks, Standing $ground): array
    {
        $groups = $this->draw->round($this->context->players, count($blocks));
        $visits = new Visits(array_map(fn (Block $block, int $i): array => array_map(
            fn (array $group): BlockEvaluation => $this->evaluator->evaluate(
                $block,
                $i === 0 ? $ground : $ground->nextTo(),
                $group,
            ),
            $groups,
        ), $blocks, array_keys($blocks)), $groups, self::isWaiting($blocks));
        $evaluations = array_map(fn (int $turn): BlockEvaluation => $this->turn($turn, $visits), array_keys($blocks));

        return [
            $evaluations[0]->warned(...RoundWarnings::of($blocks, $evaluations, $groups, $this->context)),
            ...array_slice($evaluations, 1),
        ];
    }

    /** @param  non-empty-list<Block>  $blocks */
    private static function isWaiting(array $blocks): bool
    {
        return array_filter($blocks, static fn (Block $block): bool => $block->stationsWait) !== [];
    }

    /** One turn of the round, told under the name of as many a station; touches and times are those of all visits to that station. */
    private function turn(int $turn, Visits $visits): BlockEvaluation
    {
        [$rules, $memo, $work] = [$this->context->rules, $this->context->memo, $visits->turn($turn)];
        $longest = $visits->longest($turn);
        $parts = [
            'setUp' => 0.0,
            'explain' => 0.0,
            'work' => $work->mean(),
            'changeOver' => $turn > 0 ? $rules->changeSeconds() : 0.0,
            'write' => $turn === $visits->stations() - 1 ? $this->writing($visits) : 0.0,
        ];
        $judged = [[$parts['changeOver'], $rules->changeOver->variation], [$parts['write'], $rules->partVariation]];
        $everybody = array_map(static fn (PlanPlayer $one): int => $one->id, $this->context->players);
        $segments = [];
        foreach ($turn === 0 ? range(0, $visits->stations() - 1) : [] as $station) {
            $there = $visits->longest($station);
            foreach (['setUp' => $rules->setUp, 'explain' => $rules->explain] as $part => $calibration) {
                $parts[$part] += $there->partSeconds[$part] ?? 0.0;
                $judged[] = [$there->partSeconds[$part] ?? 0.0, $calibration->variation];
            }
            $segments = [...$segments, ...self::before($longest->blockId, $station, $there, $everybody)];
        }
        // All is laid out before anything is explained.
        $isLaying = static fn (Segment $one): bool => $one->kind === SegmentKind::SetUp;
        usort($segments, static fn (Segment $one, Segment $other): int => $isLaying($other) <=> $isLaying($one));
        $map = $visits->map();

        return new BlockEvaluation(
            blockId: $longest->blockId,
            judged: LogNormals::sum($memo, $judged),
            work: $work,
            partSeconds: $parts,
            touches: $visits->touches($turn),
            atWork: $visits->times($turn),
            stations: $longest->stations,
            turns: 1,
            markers: $longest->markers,
            segments: $longest->segments === []
                ? []
                : [...$segments, ...RoundSheet::of($turn, $visits, $map, $parts, $rules->changeOverSeconds)],
            how: [...$longest->how, $this->how($visits)],
            warnings: $longest->warnings,
            laying: $longest->laying,
            // The group that begins here; one station on at each move.
            groups: isset($visits->groups[$turn]) ? [new Station($visits->groups[$turn])] : [],
            duties: $longest->duties,
            layout: $longest->layout,
            kit: $longest->kit,
            round: $map,
            grownUps: $longest->grownUps,
            ages: $longest->ages,
            counts: $longest->counts,
            mayCount: $longest->mayCount,
        );
    }

    /** Numbers are written during the move and the next turn: only what the last one leaves costs time. */
    private function writing(Visits $visits): float
    {
        $left = 0.0;
        for ($turn = 0; $turn < $visits->stations(); $turn++) {
            $left = max(0.0, $left - $visits->turn($turn)->mean() - ($turn > 0 ? $this->context->rules->changeSeconds() : 0.0))
                + $this->context->rules->writeSeconds * count($visits->owed($turn));
        }

        return $left;
    }

    /**
     * @param  list<int>  $players  all who come: everybody helps, and is told what to do everywhere
     * @return list<Segment> laying out and explaining a station, under its own name
     */
    private static function before(string $blockId, int $station, BlockEvaluation $there, array $players): array
    {
        $segments = [];
        foreach ($there->segments as $segment) {
            $role = match ($segment->kind) {
                SegmentKind::SetUp => Role::LaysOut,
                SegmentKind::Explain => Role::Listens,
                default => null,
            };
            if ($role !== null) {
                $segments[] = $segment->forAll("{$blockId}-{$station}{$segment->kind->value}", $players, $role);
            }
        }

        return $segments;
    }

    private function how(Visits $visits): string
    {
        $clock = static fn (float $seconds): string => sprintf('%d:%02d', intdiv((int) round($seconds), 60), (int) round($seconds) % 60);
        $turns = array_map(static fn (int $turn): float => $visits->turn($turn)->mean(), range(0, $visits->stations() - 1));
        $longest = max($turns);

        return sprintf(
            '%d stations at the same time, %d groups: every group is at every station once. %s: %s in all with the moves.',
            $visits->stations(),
            count($visits->groups),
            $visits->isWaiting
                ? "All move on when the last group is done, after {$clock($longest)} on average where it takes longest"
                : "A turn is {$clock($longest)} on the whistle, as the longest station needs it",
            $clock(array_sum($turns) + StationRound::seconds($visits->stations(), 0.0, $this->context->rules->changeSeconds())),
        );
    }
}
