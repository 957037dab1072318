<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

/** A wish that cannot be granted: why, and the nearest thing that would work. */
final readonly class Refusal
{
    public function __construct(public string $wish, public string $reason, public string $instead)
    {
    }
}
