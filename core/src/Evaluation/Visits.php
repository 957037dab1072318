<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Rotation\StationRound;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\StationTurn;
use FleetSparrow\Core\Timeline\Whistle;
use FleetSparrow\Core\Touch\Tally;

/** Every group at every station of a round, each visit worked out by itself. */
final readonly class Visits
{
    /** @var non-empty-list<Quantiles> turn → how long it is */
    private array $turns;

    /**
     * @param  non-empty-list<non-empty-list<BlockEvaluation>>  $visits  station → group → visit
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     * @param  bool  $isWaiting  all move on when the last group is done; else on the whistle
     */
    public function __construct(public array $visits, public array $groups, public bool $isWaiting = false)
    {
        $whistle = $isWaiting ? null : Quantiles::fixed(max(array_map(
            static fn (BlockEvaluation $visit): float => Whistle::seconds($visit->work),
            array_merge(...$visits),
        )));
        $this->turns = array_map(fn (int $turn): Quantiles => $whistle ?? Quantiles::largest(array_map(
            static fn (BlockEvaluation $visit): Quantiles => $visit->work,
            $this->in($turn),
        )), array_keys($visits));
    }

    /** @return int<1, max> */
    public function stations(): int
    {
        return count($this->visits);
    }

    /** On the whistle constant, what the station that needs longest takes; where stations wait, what the slowest group takes. */
    public function turn(int $turn): Quantiles
    {
        return $this->turns[$turn];
    }

    /** @return non-empty-list<BlockEvaluation> group → its visit in a turn */
    public function in(int $turn): array
    {
        return array_map(
            fn (int $group): BlockEvaluation => $this->visits[StationRound::stationOf($group, $turn, $this->stations())][$group],
            array_keys($this->groups),
        );
    }

    /** Of all groups' visits to a station the one that takes longest. */
    public function longest(int $station): BlockEvaluation
    {
        return array_reduce(
            $this->visits[$station],
            static fn (BlockEvaluation $most, BlockEvaluation $one): BlockEvaluation => $one->work->mean() > $most->work->mean()
                ? $one
                : $most,
            $this->visits[$station][0],
        );
    }

    /** How much of a visit as planned one turn is: on the whistle who is early begins again, who is late writes what is reached. */
    public function share(BlockEvaluation $visit, float $turnSeconds): float
    {
        return $this->isWaiting || $visit->work->mean() <= 0.0 ? 1.0 : $turnSeconds / $visit->work->mean();
    }

    /** @return array<int, Tally> player → touches in all visits to a station */
    public function touches(int $station): array
    {
        $touches = [];
        foreach ($this->visits[$station] ?? [] as $group => $visit) {
            $share = $this->share($visit, $this->secondsWith($group, $station));
            $touches += array_map(static fn (Tally $tally): Tally => $tally->times($share), $visit->touches);
        }

        return $touches;
    }

    /** @return array<int, PlayerTime> player → time in all visits to a station */
    public function times(int $station): array
    {
        $times = [];
        foreach ($this->visits[$station] ?? [] as $group => $visit) {
            $times += $this->timesOf($visit, $this->secondsWith($group, $station));
        }

        return $times;
    }

    /** @return array<int, PlayerTime> of one visit in a turn of that length: who is done early waits, or begins again */
    public function timesOf(BlockEvaluation $visit, float $turnSeconds): array
    {
        $share = $this->share($visit, $turnSeconds);
        $left = $this->isWaiting ? max(0.0, $turnSeconds - $visit->work->mean()) : 0.0;

        return array_map(
            static fn (PlayerTime $time): PlayerTime => $left > 0.0 ? $time->thenWaiting($left) : $time->times($share),
            $visit->atWork,
        );
    }

    /** How long the turn is in which a group is at a station. */
    private function secondsWith(int $group, int $station): float
    {
        return $this->turn(StationRound::turnOf($group, $station, $this->stations()))->mean();
    }

    /**
     * In each turn every group owes the numbers of the station it is at, and of no other, sides kept.
     *
     * @return list<Owed>
     */
    public function owed(int $turn): array
    {
        return array_merge([], ...array_map(static fn (BlockEvaluation $visit): array => $visit->owed, $this->in($turn)));
    }

    /** @return list<list<StationTurn>> turn → station → who is there */
    public function map(): array
    {
        $map = [];
        for ($turn = 0; $turn < $this->stations(); $turn++) {
            $here = [];
            foreach ($this->groups as $group => $players) {
                $here[StationRound::stationOf($group, $turn, $this->stations())] = array_map(
                    static fn (PlanPlayer $one): int => $one->id,
                    $players,
                );
            }
            $map[] = array_map(
                static fn (array $visits, int $station): StationTurn => new StationTurn($visits[0]->blockId, $here[$station] ?? []),
                $this->visits,
                array_keys($this->visits),
            );
        }

        return $map;
    }
}
