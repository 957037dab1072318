<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Shared\Evidence;

/** One thing the next fortnight needs, why, and what to ask the proposals for. */
final readonly class FortnightNeed
{
    /**
     * @param  Family|null  $theme  to propose a session about
     * @param  string|null  $drill  slug that must be in it
     * @param  bool  $isOtherFoot  whether it is to be mostly with the other foot
     */
    public function __construct(
        public string $about,
        public string $says,
        public Evidence $evidence,
        public float $weight,
        public ?Family $theme = null,
        public ?string $drill = null,
        public bool $isOtherFoot = false,
    ) {
    }
}
