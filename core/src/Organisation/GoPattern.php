<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

use FleetSparrow\Core\Record\OwedSets;

/** What the goes of a block have in common: one set on one side each. */
final readonly class GoPattern
{
    /** From one player's go to the next one's at the same place; default of the tool. */
    public const SWAP_SECONDS = 3.0;

    /**
     * @param  non-empty-list<string>  $sides  in their order
     * @param  int<1, max>  $sets  of each side
     * @param  float  $restSeconds  between two goes of one player
     * @param  float  $goSeconds  of one go on average
     * @param  OwedSets|null  $owed  after which sets a number is written; null where nothing is counted
     */
    public function __construct(
        public array $sides,
        public int $sets,
        public float $restSeconds,
        public float $goSeconds,
        public ?OwedSets $owed = null,
    ) {
    }

    public function isOwed(int $set): bool
    {
        return match ($this->owed) {
            null => false,
            OwedSets::Best => $set === $this->sets,
            OwedSets::Every => true,
        };
    }
}
