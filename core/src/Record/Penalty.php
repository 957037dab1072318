<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What a fault costs under a protocol: seconds for each, below nought where they are taken off. */
final readonly class Penalty
{
    public function __construct(public string $slug, public string $words, public float $seconds)
    {
    }
}
