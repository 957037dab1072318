<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Touch\Tally;

/** What one block comes to. Times in seconds; touches for each player. */
final readonly class BlockEvaluation
{
    /**
     * @param  DurationEstimate  $judged  set-up, explaining, change-overs, writing down, and what is not a drill
     * @param  DurationEstimate  $work  the doses of all turns
     * @param  array<string, float>  $partSeconds  mean seconds by part: setUp, explain, work, changeOver, write, other
     * @param  array<string, Tally>  $touches  player id → touches
     * @param  float  $longestWaitSeconds  the longest stretch somebody neither works nor serves
     * @param  list<Segment>  $segments
     * @param  list<string>  $how  how each figure came about, a sentence each
     * @param  list<Warning>  $warnings
     * @param  SetUp|null  $setUp  null where nothing is laid out
     */
    public function __construct(
        public string $blockId,
        public DurationEstimate $judged,
        public DurationEstimate $work,
        public array $partSeconds,
        public array $touches,
        public int $stations,
        public int $turns,
        public int $markers,
        public float $longestWaitSeconds,
        public array $segments,
        public array $how,
        public array $warnings,
        public ?SetUp $setUp,
    ) {
    }

    public function warned(Warning $warning): self
    {
        return new self($this->blockId, $this->judged, $this->work, $this->partSeconds, $this->touches, $this->stations, $this->turns, $this->markers, $this->longestWaitSeconds, $this->segments, $this->how, [...$this->warnings, $warning], $this->setUp);
    }

    public function meanSeconds(): float
    {
        return $this->judged->meanSeconds + $this->work->meanSeconds;
    }
}
