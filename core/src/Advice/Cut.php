<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use FleetSparrow\Core\Dose\Dose;

/** One way to make a session shorter, with what is won and what is lost. */
final readonly class Cut
{
    /**
     * @param  float  $freedSeconds  off the mean of the session
     * @param  float  $touchesLost  of one player on average
     * @param  Dose|null  $dose  what the block does then; null when the block goes
     */
    public function __construct(
        public string $blockId,
        public CutKind $kind,
        public string $words,
        public float $freedSeconds,
        public float $touchesLost,
        public ?Dose $dose,
    ) {
    }
}
