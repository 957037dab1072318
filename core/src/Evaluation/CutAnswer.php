<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\Cut;

/** What could go, and whether that is enough. */
final readonly class CutAnswer
{
    /**
     * @param  list<Cut>  $cuts
     * @param  float  $stillOverSeconds  by which eight in ten such sessions still end after the slot when all of them are taken
     */
    public function __construct(public array $cuts = [], public float $stillOverSeconds = 0.0)
    {
    }
}
