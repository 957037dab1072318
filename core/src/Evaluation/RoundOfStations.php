<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\RoundWarnings;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Rotation\StationRound;
use FleetSparrow\Core\Statistics\LogNormals;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Timeline\StationTurn;
use FleetSparrow\Core\Timeline\Whistle;
use FleetSparrow\Core\Touch\Tally;

/**
 * Blocks that run at the same time, each a station, with groups going round on the whistle: every group visits every station once.
 * A turn is constant, what the station that needs longest takes; who is early begins again, who is late writes what is reached.
 * Everything is laid out and explained before the first.
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
     * @param  Layout|null  $before  what still stands on the ground
     * @return list<BlockEvaluation>
     */
    public function evaluate(array $blocks, ?Layout $before, int $stationsBefore): array
    {
        $groups = $this->draw->round($this->context->players, count($blocks));
        $visits = array_map(fn (Block $block, int $i): array => array_map(
            fn (array $group): BlockEvaluation => $this->evaluator->evaluate(
                $block,
                $i === 0 ? $before : null,
                $i === 0 ? $stationsBefore : 0,
                $group,
            ),
            $groups,
        ), $blocks, array_keys($blocks));
        $turnSeconds = max(array_map(
            static fn (BlockEvaluation $visit): float => Whistle::seconds($visit->work),
            array_merge(...$visits),
        ));
        $turns = $this->turns($blocks, $groups);
        $writing = $this->writing($turns, $visits, $groups, $turnSeconds);
        $evaluations = array_map(
            fn (int $i): BlockEvaluation => $this->turn($i, $visits, $groups, $turns, $turnSeconds, $writing),
            array_keys($blocks),
        );

        return [
            $evaluations[0]->warned(...RoundWarnings::of($blocks, $evaluations, $groups, $this->context)),
            ...array_slice($evaluations, 1),
        ];
    }

    /**
     * @param  non-empty-list<Block>  $blocks
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     * @return list<list<StationTurn>> turn → station → who is there
     */
    private function turns(array $blocks, array $groups): array
    {
        $turns = [];
        foreach (array_keys($blocks) as $turn) {
            $here = [];
            foreach ($groups as $group => $players) {
                $here[StationRound::stationOf($group, $turn, count($blocks))] = $players;
            }
            $turns[] = array_map(
                static fn (Block $block, int $station): StationTurn => new StationTurn(
                    $block->id,
                    array_map(static fn (PlanPlayer $one): int => $one->id, $here[$station] ?? []),
                ),
                $blocks,
                array_keys($blocks),
            );
        }

        return $turns;
    }

    /**
     * Numbers are written during the move and the next turn: only what the last one leaves costs time.
     *
     * @param  list<list<StationTurn>>  $turns
     * @param  non-empty-list<non-empty-list<BlockEvaluation>>  $visits  station → group → visit
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     * @return list<float> seconds after each turn
     */
    private function writing(array $turns, array $visits, array $groups, float $turnSeconds): array
    {
        [$left, $extra] = [0.0, []];
        foreach (array_keys($turns) as $turn) {
            $left = max(0.0, $left - $turnSeconds - ($turn > 0 ? $this->context->rules->changeSeconds() : 0.0))
                + $this->context->rules->writeSeconds * count($this->owed($turn, $visits, $groups));
            $extra[] = $turn === count($turns) - 1 ? $left : 0.0;
        }

        return $extra;
    }

    /**
     * In each turn every group owes the numbers of the station it is at, and of no other, sides kept.
     *
     * @param  non-empty-list<non-empty-list<BlockEvaluation>>  $visits  station → group → visit
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     * @return list<Owed>
     */
    private function owed(int $turn, array $visits, array $groups): array
    {
        $owed = [];
        foreach (array_keys($groups) as $group) {
            $owed = [...$owed, ...$visits[StationRound::stationOf($group, $turn, count($visits))][$group]->owed];
        }

        return $owed;
    }

    /**
     * The i-th turn of the round, told under the i-th station's name; touches and times are those of all visits to that station.
     *
     * @param  non-empty-list<non-empty-list<BlockEvaluation>>  $visits  station → group → visit
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     * @param  list<list<StationTurn>>  $turns
     * @param  list<float>  $writing  seconds after each turn
     */
    private function turn(int $i, array $visits, array $groups, array $turns, float $turnSeconds, array $writing): BlockEvaluation
    {
        $rules = $this->context->rules;
        $longest = self::slowest($visits[$i]);
        [$touches, $times] = [[], []];
        foreach ($visits[$i] as $visit) {
            $share = self::share($visit, $turnSeconds);
            $touches += array_map(static fn (Tally $tally): Tally => $tally->times($share), $visit->touches);
            $times += array_map(static fn (PlayerTime $time): PlayerTime => $time->times($share), $visit->times);
        }
        $parts = [
            'setUp' => 0.0,
            'explain' => 0.0,
            'work' => $turnSeconds,
            'changeOver' => $i > 0 ? $rules->changeSeconds() : 0.0,
            'write' => $writing[$i],
        ];
        $judged = [[$parts['changeOver'], $rules->changeOver->variation], [$parts['write'], $rules->partVariation]];
        $segments = [];
        foreach ($i === 0 ? $visits : [] as $at => $here) {
            $station = self::slowest($here);
            foreach (['setUp' => $rules->setUp, 'explain' => $rules->explain] as $part => $calibration) {
                $parts[$part] += $station->partSeconds[$part] ?? 0.0;
                $judged[] = [$station->partSeconds[$part] ?? 0.0, $calibration->variation];
            }
            foreach ($station->segments as $segment) {
                if (in_array($segment->kind, [SegmentKind::SetUp, SegmentKind::Explain], true)) {
                    $segments[] = $segment->renamed("{$longest->blockId}-{$at}{$segment->kind->value}");
                }
            }
        }

        return new BlockEvaluation(
            blockId: $longest->blockId,
            judged: LogNormals::sum($this->context->memo, $judged),
            work: Quantiles::fixed($turnSeconds),
            partSeconds: $parts,
            touches: $touches,
            times: $times,
            stations: $longest->stations,
            turns: 1,
            markers: $longest->markers,
            segments: $longest->segments === [] ? [] : [...$segments, ...$this->segments($i, $visits, $groups, $turns, $parts)],
            how: [
                ...$longest->how,
                sprintf(
                    '%d stations at the same time, %d groups: every group is at every station once. A turn is %d:%02d on the whistle, '
                        .'as the longest station needs it: %d:%02d in all with the moves.',
                    count($visits),
                    count($groups),
                    ...self::clock($turnSeconds),
                    ...self::clock(StationRound::seconds(count($visits), $turnSeconds, $rules->changeSeconds())),
                ),
            ],
            warnings: $longest->warnings,
            setUp: $longest->setUp,
            // The group that begins here; one station on at each move.
            groups: isset($groups[$i]) ? [new Station($groups[$i])] : [],
            duties: $longest->duties,
            layout: $longest->layout,
            kit: $longest->kit,
            round: $turns,
        );
    }

    /**
     * @param  non-empty-list<non-empty-list<BlockEvaluation>>  $visits  station → group → visit
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     * @param  list<list<StationTurn>>  $turns
     * @param  array<string, float>  $parts
     * @return list<Segment>
     */
    private function segments(int $i, array $visits, array $groups, array $turns, array $parts): array
    {
        $blockId = $visits[$i][0]->blockId;
        [$left, $right, $seats] = [0.0, 0.0, []];
        foreach (array_keys($groups) as $group) {
            $visit = $visits[StationRound::stationOf($group, $i, count($visits))][$group];
            $share = self::share($visit, $parts['work']);
            foreach ($visit->segments as $segment) {
                $workers = count($visit->times) / count($this->context->players) * $share;
                [$left, $right] = [$left + $segment->leftTouches * $workers, $right + $segment->rightTouches * $workers];
            }
            foreach ($visit->times as $player => $time) {
                $seats[$player] = self::seat($time, $visit->work->mean());
            }
        }
        $everybody = array_keys($seats);
        $at = static fn (Role $role): array => array_fill_keys($everybody, new Seat($role));
        $segments = $i === 0 ? [] : [new Segment(
            id: "{$blockId}-move",
            blockId: $blockId,
            kind: SegmentKind::Change,
            seconds: $parts['changeOver'],
            endsByClock: false,
            plainSeconds: $this->context->rules->changeOverSeconds,
            seats: $at(Role::ChangesOver),
            stations: $turns[$i] ?? [],
        )];
        $segments[] = new Segment(
            id: "{$blockId}-turn",
            blockId: $blockId,
            kind: SegmentKind::Work,
            seconds: $parts['work'],
            endsByClock: true,
            set: 1,
            turn: $i + 1,
            working: $everybody,
            leftTouches: $left,
            rightTouches: $right,
            owed: $this->owed($i, $visits, $groups),
            seats: $seats,
            stations: $turns[$i] ?? [],
        );

        return $parts['write'] <= 0.0 ? $segments : [...$segments, new Segment(
            id: "{$blockId}-write",
            blockId: $blockId,
            kind: SegmentKind::Write,
            seconds: $parts['write'],
            endsByClock: false,
            set: 1,
            turn: $i + 1,
            working: $everybody,
            seats: $at(Role::WritesDown),
        )];
    }

    /** A whole visit as one seat: whatever it is made of, so much of it the ball is theirs and so much they wait. */
    private static function seat(PlayerTime $time, float $seconds): Seat
    {
        $share = static fn (float $part): float => $seconds <= 0.0 ? 0.0 : min(1.0, $part / $seconds);

        return new Seat(
            $time->ballSeconds > 0.0 ? Role::Works : Role::Serves,
            ball: $share($time->ballSeconds),
            wait: $share($time->waitingSeconds),
        );
    }

    /** How much of a visit as planned one turn is. */
    private static function share(BlockEvaluation $visit, float $turnSeconds): float
    {
        return $visit->work->mean() > 0.0 ? $turnSeconds / $visit->work->mean() : 1.0;
    }

    /** @param  non-empty-list<BlockEvaluation>  $visits */
    private static function slowest(array $visits): BlockEvaluation
    {
        return array_reduce(
            $visits,
            static fn (BlockEvaluation $most, BlockEvaluation $one): BlockEvaluation => $one->work->mean() > $most->work->mean()
                ? $one
                : $most,
            $visits[0],
        );
    }

    /** @return array{int, int} minutes and seconds */
    private static function clock(float $seconds): array
    {
        $whole = (int) round($seconds);

        return [intdiv($whole, 60), $whole % 60];
    }
}
