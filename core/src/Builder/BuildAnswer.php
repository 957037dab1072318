<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Drill\Family;

/** Up to three sessions that really differ, and every wish that could not be granted with what would work. */
final readonly class BuildAnswer
{
    /**
     * @param  list<Proposal>  $proposals  the best first
     * @param  list<Refusal>  $refusals
     */
    public function __construct(public array $proposals, public array $refusals, public Family $theme, public int $slotMinutes)
    {
    }
}
