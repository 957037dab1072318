<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Record\RecordLineKey;
use FleetSparrow\Core\Record\ScoringRule;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Touch\Script;

/** One activity of the drill book: what the feet do, where, how much, and how it is counted. */
final readonly class Drill
{
    /**
     * @param  float  $secondsPerRep  one rep at a steady tempo
     * @param  float  $goodChance  chance of a good rep before any mark (default of the drill)
     * @param  float  $fetchSeconds  to fetch a missed ball
     * @param  ScoringRule|null  $rule  null when nothing is counted
     * @param  list<string>  $points  coaching points
     * @param  list<array{fault: string, fix: string}>  $faults
     * @param  list<string>  $cautions
     */
    public function __construct(
        public string $slug,
        public string $name,
        public Family $family,
        public string $summary,
        public Layout $layout,
        public Script $script,
        public float $secondsPerRep,
        public float $goodChance,
        public float $fetchSeconds,
        public Dose $dose,
        public ?ScoringRule $rule,
        public Organisation $organisation,
        public array $points,
        public array $faults,
        public array $cautions,
    ) {
    }

    public function pace(Tempo $tempo): Pace
    {
        return Pace::of($this->secondsPerRep * $tempo->secondsFactor(), $this->goodChance, $this->fetchSeconds);
    }

    /** The line a mark of this drill with this dose and side belongs to; null when nothing is counted. */
    public function recordLine(Dose $dose, Side $side): ?RecordLineKey
    {
        return $this->rule === null
            ? null
            : RecordLineKey::of($this->script, $this->layout, $dose, $this->rule, $side, $this->organisation->service->value);
    }
}
