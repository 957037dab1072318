<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Organisation\Duty;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Organisation\Stationing;
use FleetSparrow\Core\Organisation\WorkingWay;
use FleetSparrow\Core\Plan\OwnPaces;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\Spell;

/** Who does what in the work of a block, and how long that takes: all that is shown of the block is read off this. */
final readonly class Cast
{
    /**
     * @param  array<int, PlanPlayer>  $players  by id
     * @param  list<Duty>  $duties
     * @param  list<SeatedCrew>  $places
     * @param  Pace  $pace  the drill's own at the tempo of the block
     * @param  array<int, Pace>  $paces  player → pace while working
     * @param  float|null  $limitSeconds  when a go is stopped
     * @param  list<Spell>  $spells
     * @param  Quantiles  $work  seconds of all spells
     */
    public function __construct(
        public Drill $drill,
        public Dose $dose,
        public array $players,
        public Stationing $stationing,
        public array $duties,
        public WorkingWay $way,
        public array $places,
        public Pace $pace,
        public OwnPaces $own,
        public array $paces,
        public ?float $limitSeconds,
        public array $spells,
        public Quantiles $work,
    ) {
    }

    /** Turns at the place that has most. */
    public function turns(): int
    {
        return max([1, ...array_map(fn (SeatedCrew $at): int => $this->way->shifts($at->crew), $this->places)]);
    }

    public function balls(): int
    {
        return $this->drill->usesBall
            ? array_sum(array_map(fn (SeatedCrew $at): int => $this->way->balls($at->crew), $this->places))
            : 0;
    }

    public function mostAtAPlace(): int
    {
        return max([0, ...array_map(static fn (SeatedCrew $at): int => $at->crew->people(), $this->places)]);
    }

    /** Grown-ups who serve, stand in or count. */
    public function grownUps(): int
    {
        $helped = count(array_filter($this->places, static fn (SeatedCrew $at): bool => $at->crew->isHelped));

        return ($this->drill->organisation->coachServes ? $this->stationing->inUse() : $helped)
            + ($this->drill->organisation->needsCounter ? 1 : 0);
    }

    /** Each at a place of their own, or all at one: there is no group to name. */
    public function isWithoutGroups(): bool
    {
        $groups = $this->stationing->groups;
        $isAlone = $this->drill->organisation->playersPerStation() === 1 && $this->stationing->inUse() === count($groups);
        $isOne = count($groups) === 1 && count($groups[0]->workers) === count($this->players) && count($this->players) > 2;

        return $isAlone || $isOne;
    }
}
