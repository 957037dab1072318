<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

/** A drill that was wanted and cannot be done today, and why. */
final readonly class LeftOut
{
    public function __construct(public string $drill, public string $why)
    {
    }
}
