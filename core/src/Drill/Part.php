<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Touch\Script;

/** A named part of a combination, or a link of a build-up. */
final readonly class Part
{
    /** @param  string|null  $move  slug of the move it is, so that touches, staleness and places count for it too */
    public function __construct(public string $name, public Script $script, public ?string $move)
    {
    }
}
