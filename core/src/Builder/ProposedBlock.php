<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Plan\Block;

/** One block of a proposal, and why it is there. */
final readonly class ProposedBlock
{
    /**
     * @param  Phase|null  $phase  null for water and the talk
     * @param  list<Reason>  $reasons  what carried it, the most first
     */
    public function __construct(public Block $block, public ?Phase $phase, public string $title, public array $reasons)
    {
    }
}
