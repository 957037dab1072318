<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use FleetSparrow\Core\Shared\Foot;

/** One thing that happens in a move, with the foot that stands meanwhile. */
final readonly class Step
{
    /**
     * @param  FootMark|null  $foot  the one that acts; null for a turn of the whole body or an event without a foot
     * @param  Foot|null  $standing  null when it does not matter or is not known
     * @param  string  $words  what to do, as one would say it
     * @param  int  $headingDegrees  where the player faces afterwards, anticlockwise from the start
     * @param  string  $times  how often the part it belongs to is done; empty for once
     */
    public function __construct(
        public ?FootMark $foot,
        public string $kind,
        public ?Surface $surface,
        public ?Way $way,
        public ?Foot $standing,
        public string $words,
        public int $headingDegrees,
        public string $times,
    ) {
    }
}
