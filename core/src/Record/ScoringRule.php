<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Shared\AgeGroup;

/**
 * How a number comes about; shown before a try. The codes are part of the record line, the words are not: mending a sentence
 * changes no record.
 */
final readonly class ScoringRule
{
    /**
     * @param  list<Condition>  $countsIf  what a rep needs to count; empty when every rep counts
     * @param  list<VoidReason>  $voids  what makes the whole try void
     * @param  float  $faultSeconds  added for a fault where it costs time
     * @param  string  $words  the conditions in a coach's words, in place of the plain ones
     * @param  bool  $inHalves  whether the count is split in two, to see whether the second half is as good; changes no record
     * @param  Protocol|null  $protocol  the penalties of a protocol score
     * @param  OwedSets  $owed  which sets are written down; changes no record
     * @param  array<int, float>  $fixed  age group, as under so many years → the one number for it; changes no record
     */
    public function __construct(
        public MarkKind $kind,
        public ClockStart $starts,
        public ClockStop $stops,
        public array $countsIf = [],
        public array $voids = [],
        public ?FaultKind $fault = null,
        public FaultCost $faultCost = FaultCost::Ignored,
        public float $faultSeconds = 0.0,
        public string $words = '',
        public bool $inHalves = false,
        public ?Protocol $protocol = null,
        public CountUnit $counts = CountUnit::Rep,
        public OwedSets $owed = OwedSets::Best,
        public array $fixed = [],
    ) {
    }

    /**
     * What makes the task; conditions in a fixed order, so that writing them in another changes nothing.
     *
     * @return array<string, mixed>
     */
    public function fields(): array
    {
        $countsIf = array_map(static fn (Condition $one): string => $one->value, $this->countsIf);
        $voids = array_map(static fn (VoidReason $one): string => $one->value, $this->voids);
        sort($countsIf);
        sort($voids);

        return [
            'kind' => $this->kind->value,
            'starts' => $this->starts->value,
            'stops' => $this->stops->value,
            'countsIf' => $countsIf,
            'voids' => $voids,
            'fault' => $this->fault === null
                ? null
                : ['what' => $this->fault->value, 'costs' => $this->faultCost->value, 'seconds' => $this->faultSeconds],
            'protocol' => $this->protocol?->fields(),
            // Reps are what every rule counted before there was a choice: their lines stay.
        ] + ($this->counts === CountUnit::Rep ? [] : ['counts' => $this->counts->value]);
    }

    /** The one number for an age: that of the oldest group named that is no older; an older one's is no target for the young. */
    public function fixedFor(AgeGroup $age): ?float
    {
        $groups = array_filter(array_keys($this->fixed), static fn (int $under): bool => $under <= $age->under);

        return $groups === [] ? null : $this->fixed[max($groups)];
    }

    /** What counts, in words; empty when every rep does. */
    public function countsOnlyIf(): string
    {
        return $this->words !== ''
            ? $this->words
            : implode(' ', array_map(static fn (Condition $one): string => $one->sentence(), $this->countsIf));
    }

    public function voidWords(): string
    {
        return implode(' ', array_map(static fn (VoidReason $one): string => $one->sentence(), $this->voids));
    }

    public function faultWords(): string
    {
        return $this->fault === null ? '' : "{$this->fault->words()}: {$this->faultCost->words($this->faultSeconds)}.";
    }
}
