<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Rotation\StationRound;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\StationTurn;
use FleetSparrow\Core\Timeline\Whistle;

/** Every group at every station of a round, each visit worked out by itself. */
final readonly class Visits
{
    /**
     * @param  non-empty-list<non-empty-list<BlockEvaluation>>  $visits  station → group → visit
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     */
    public function __construct(public array $visits, public array $groups)
    {
    }

    /** @return int<1, max> */
    public function stations(): int
    {
        return count($this->visits);
    }

    /** Constant: what the station that needs longest takes. */
    public function turnSeconds(): float
    {
        return max(array_map(
            static fn (BlockEvaluation $visit): float => Whistle::seconds($visit->work),
            array_merge(...$this->visits),
        ));
    }

    /** @return list<BlockEvaluation> group → its visit in a turn */
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

    /** How much of a visit as planned one turn is: who is early begins again, who is late writes what is reached. */
    public static function share(BlockEvaluation $visit, float $turnSeconds): float
    {
        return $visit->work->mean() > 0.0 ? $turnSeconds / $visit->work->mean() : 1.0;
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
