<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** How a number comes about; shown before a try and part of the record line. */
final readonly class ScoringRule
{
    /**
     * @param  string  $starts  what starts the clock or the count
     * @param  string  $stops  what ends it
     * @param  string  $countsOnlyIf  what a rep needs to count; empty when every rep counts
     * @param  string  $voids  what makes the try void; empty when nothing does
     * @param  string  $fault  what a fault costs
     */
    public function __construct(
        public MarkKind $kind,
        public string $starts,
        public string $stops,
        public string $countsOnlyIf,
        public string $voids,
        public string $fault,
    ) {
    }

    /** @return array<string, string> */
    public function fields(): array
    {
        return [
            'kind' => $this->kind->value,
            'starts' => $this->starts,
            'stops' => $this->stops,
            'countsOnlyIf' => $this->countsOnlyIf,
            'voids' => $this->voids,
            'fault' => $this->fault,
        ];
    }
}
