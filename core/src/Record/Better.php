<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** Which way a number gets better. */
enum Better: string
{
    case Higher = 'higher';
    case Lower = 'lower';

    /** Whether the first value is strictly better than the second. */
    public function prefers(float $value, float $over): bool
    {
        return $this === self::Higher ? $value > $over : $value < $over;
    }
}
