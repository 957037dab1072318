<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** So much of something, so many days before the session in hand. */
final readonly class Earlier
{
    public function __construct(public int $daysAgo, public float $amount)
    {
    }
}
