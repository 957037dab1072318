<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** What often goes wrong, and what to say or change then. */
final readonly class Fault
{
    public function __construct(public string $fault, public string $fix)
    {
    }
}
