<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Evaluation\PlanEvaluation;

/** A whole session to take or leave. */
final readonly class Proposal
{
    /**
     * @param  list<ProposedBlock>  $blocks
     * @param  float  $worth  of the objective
     * @param  list<string>  $notes  what a coach should know of it as a whole
     */
    public function __construct(public array $blocks, public float $worth, public PlanEvaluation $evaluation, public array $notes)
    {
    }

    /** @return list<string> */
    public function slugs(): array
    {
        $slugs = array_map(static fn (ProposedBlock $one): ?string => $one->block->drill?->slug, $this->blocks);

        return array_values(array_filter($slugs, static fn (?string $slug): bool => $slug !== null));
    }
}
