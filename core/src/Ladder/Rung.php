<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Ladder;

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
}
