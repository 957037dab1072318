<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

/** One term of a block's worth: in words, with the figure it came from. */
final readonly class Reason
{
    /** @param  float  $points  weight × value */
    public function __construct(public string $term, public float $value, public float $points, public string $words)
    {
    }
}
