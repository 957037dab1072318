<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

use FleetSparrow\Core\Timeline\SegmentKind;

/** How long one stretch was to take and took, in seconds, and how long the clock stood still in it. */
final readonly class StretchTime
{
    /** @param  float  $frozenSeconds  to coach */
    public function __construct(
        public string $blockId,
        public SegmentKind $kind,
        public float $expectedSeconds,
        public float $actualSeconds,
        public float $pausedSeconds = 0.0,
        public float $frozenSeconds = 0.0,
    ) {
    }

    /** By the clock on the wall. */
    public function wallSeconds(): float
    {
        return $this->actualSeconds + $this->pausedSeconds + $this->frozenSeconds;
    }
}
