<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Ladder;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\DrillScaling;
use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Shared\AgeGroup;

/** A drill's place on a ladder, with what must be reached there before moving up. */
final readonly class Rung
{
    /**
     * @param  string  $drill  slug
     * @param  float  $criterion  in the unit of the drill's measure, on either side
     * @param  list<Axis>  $harderBy  in which ways it is harder than the rung below; empty for the lowest
     */
    public function __construct(public string $drill, public float $criterion, public array $harderBy)
    {
    }

    /**
     * With the criterion for an age: times the drill's own factor of the target, in whole numbers; of times and of what is better less,
     * divided by it, to a tenth.
     */
    public function forAge(Drill $drill, AgeGroup $ageGroup): self
    {
        $target = DrillScaling::factor($drill, $ageGroup)->target ?? 1.0;
        $isMore = ($drill->rule?->kind->better() ?? Better::Higher) === Better::Higher;

        return $target === 1.0 ? $this : new self(
            $this->drill,
            $isMore ? max(1.0, round($this->criterion * $target)) : round($this->criterion / $target, 1),
            $this->harderBy,
        );
    }
}
