<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Shared\Evidence;

/** One thing worth saying of a player, and how it is known. */
final readonly class News
{
    /**
     * @param  string  $about  what it is of, as the drill and side
     * @param  string|null  $lineKey  of the record line, where it is of one
     * @param  string  $like  what it is alike with: of those alike a few are enough; empty for none
     * @param  float  $weight  within its kind the heaviest is said first
     */
    public function __construct(
        public NewsKind $kind,
        public string $about,
        public string $says,
        public Evidence $evidence,
        public ?string $lineKey = null,
        public float $weight = 0.0,
        public string $like = '',
    ) {
    }
}
