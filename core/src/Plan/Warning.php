<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

/** Something a coach should know of a block before the whistle, and the cheapest cure where there is one. */
final readonly class Warning
{
    public function __construct(public string $sentence, public ?Cure $cure = null)
    {
    }
}
