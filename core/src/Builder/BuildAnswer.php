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
     * @param  list<LeftOut>  $leftOut  what would have been wanted most, and cannot be done today
     */
    public function __construct(
        public array $proposals,
        public array $refusals,
        public Family $theme,
        public int $slotMinutes,
        public array $leftOut = [],
    ) {
    }

    /** @param  list<Refusal>  $refusals  said before all others */
    public function refusing(array $refusals): self
    {
        return new self($this->proposals, [...$refusals, ...$this->refusals], $this->theme, $this->slotMinutes, $this->leftOut);
    }
}
