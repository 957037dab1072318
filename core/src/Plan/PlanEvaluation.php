<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Touch\Tally;

/** A whole session worked out. */
final readonly class PlanEvaluation
{
    /**
     * @param  list<BlockEvaluation>  $blocks
     * @param  list<Cut>  $cuts  what could go, where the session is over its slot
     * @param  array<string, Tally>  $touches  player id → touches of the session
     */
    public function __construct(public array $blocks, public DurationEstimate $total, public FinishTime $finish, public array $touches, public array $cuts = [])
    {
    }
}
