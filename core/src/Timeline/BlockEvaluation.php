<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Clock\Laying;
use FleetSparrow\Core\Drill\AgeDose;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Organisation\Duty;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Touch\Tally;

/** What one block comes to. Times in seconds; touches for each player. */
final readonly class BlockEvaluation
{
    /** @var array<int, PlayerTime> player id → ball time, serving and waiting, laying out, moving on and writing down with it */
    public array $times;

    /**
     * @param  Quantiles  $judged  set-up, explaining, moving on, writing down, and what is not a drill
     * @param  Quantiles  $work  the goes of everybody, with swaps and rests between
     * @param  array<string, float>  $partSeconds  mean seconds by part: setUp, explain, work, changeOver, write, other
     * @param  array<int, Tally>  $touches  player id → touches
     * @param  array<int, PlayerTime>  $atWork  player id → ball time, serving and waiting while the block's work goes on
     * @param  list<Segment>  $segments
     * @param  list<string>  $how  how each figure came about, a sentence each
     * @param  list<Warning>  $warnings
     * @param  Laying|null  $laying  null where there is no drill
     * @param  list<Station>  $groups  who is together, for a drill with pairs or groups
     * @param  list<Duty>  $duties
     * @param  Layout|null  $layout  of one station
     * @param  Kit|null  $kit  of all stations; null where nothing is laid out, and where times and touches alone were asked for
     * @param  list<list<StationTurn>>  $round  turn → who is at each station, where stations run at the same time
     * @param  list<Owed>  $owed  numbers that are written down
     * @param  int  $grownUps  that serve or count in it
     * @param  MarkKind|null  $counts  which number is written down
     * @param  list<MarkKind>  $mayCount  which its dose can give
     * @param  list<AgeDose>  $ages  what those of another age than most do, where the drill says so
     */
    public function __construct(
        public string $blockId,
        public Quantiles $judged,
        public Quantiles $work,
        public array $partSeconds,
        public array $touches,
        public array $atWork,
        public int $stations,
        public int $turns,
        public int $markers,
        public array $segments,
        public array $how,
        public array $warnings,
        public ?Laying $laying,
        public array $groups = [],
        public array $duties = [],
        public ?Layout $layout = null,
        public ?Kit $kit = null,
        public array $round = [],
        public array $owed = [],
        public int $grownUps = 0,
        public array $ages = [],
        public ?MarkKind $counts = null,
        public array $mayCount = [],
    ) {
        $before = ($partSeconds['setUp'] ?? 0.0) + ($partSeconds['changeOver'] ?? 0.0);
        $after = $partSeconds['write'] ?? 0.0;
        $this->times = $before + $after <= 0.0
            ? $atWork
            : array_map(static fn (PlayerTime $time): PlayerTime => $time->within($before, $after), $atWork);
    }

    public function warned(Warning ...$warnings): self
    {
        return $warnings === [] ? $this : $this->with(warnings: [...$this->warnings, ...array_values($warnings)]);
    }

    /**
     * Nothing of those who were not at work in it is left, and nobody was with them.
     *
     * @param  list<int>  $players
     */
    public function without(array $players): self
    {
        $missed = array_flip($players);

        return $players === [] ? $this : $this->with(
            touches: array_diff_key($this->touches, $missed),
            atWork: array_diff_key($this->atWork, $missed),
            groups: array_values(array_filter(array_map(static fn (Station $one): ?Station => $one->without($players), $this->groups))),
            duties: array_values(array_filter($this->duties, static fn (Duty $one): bool => ! isset($missed[$one->playerId]))),
        );
    }

    /**
     * @param  array<string, float>|null  $partSeconds
     * @param  list<Warning>|null  $warnings
     * @param  array<int, Tally>|null  $touches
     * @param  array<int, PlayerTime>|null  $atWork
     * @param  list<Station>|null  $groups
     * @param  list<Duty>|null  $duties
     */
    public function with(
        ?Quantiles $judged = null,
        ?array $partSeconds = null,
        ?array $warnings = null,
        ?Laying $laying = null,
        ?array $touches = null,
        ?array $atWork = null,
        ?array $groups = null,
        ?array $duties = null,
    ): self {
        return new self(
            blockId: $this->blockId,
            judged: $judged ?? $this->judged,
            work: $this->work,
            partSeconds: $partSeconds ?? $this->partSeconds,
            touches: $touches ?? $this->touches,
            atWork: $atWork ?? $this->atWork,
            stations: $this->stations,
            turns: $this->turns,
            markers: $this->markers,
            segments: $this->segments,
            how: $this->how,
            warnings: $warnings ?? $this->warnings,
            laying: $laying ?? $this->laying,
            groups: $groups ?? $this->groups,
            duties: $duties ?? $this->duties,
            layout: $this->layout,
            kit: $this->kit,
            round: $this->round,
            owed: $this->owed,
            grownUps: $this->grownUps,
            ages: $this->ages,
            counts: $this->counts,
            mayCount: $this->mayCount,
        );
    }

    /** Whether the clock ends the work, so that no overrun touches it. */
    public function isClocked(): bool
    {
        return $this->work->isFixed();
    }

    public function meanSeconds(): float
    {
        return $this->judged->mean() + $this->work->mean();
    }

    /**
     * By itself, as in a session.
     *
     * @param  Quantiles  $overrun  a factor on all that no clock ends
     */
    public function total(Quantiles $overrun): Quantiles
    {
        return $this->isClocked()
            ? $this->judged->scaledBy($overrun)->plus($this->work)
            : $this->judged->plus($this->work)->scaledBy($overrun);
    }

    /** The longest stretch somebody neither works nor serves nor rests. */
    public function longestWaitSeconds(): float
    {
        $longest = 0.0;
        foreach ($this->times as $time) {
            $longest = max($longest, $time->longestWaitSeconds);
        }

        return $longest;
    }
}
