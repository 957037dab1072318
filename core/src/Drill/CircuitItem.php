<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Record\ScoringRule;
use FleetSparrow\Core\Shared\ServiceManner;
use FleetSparrow\Core\Shared\TouchLimit;
use FleetSparrow\Core\Touch\Script;

/** One item of a circuit: a script with its own dose, on the circuit's one layout. */
final readonly class CircuitItem
{
    /**
     * @param  Dose  $dose  one set of it; rests lie between items
     * @param  float  $restSeconds  after it, before the next
     * @param  ScoringRule|null  $rule  null when nothing is counted
     * @param  ServiceManner|null  $manner  where this item is served in another way than the rest
     */
    public function __construct(
        public string $name,
        public Script $script,
        public Dose $dose,
        public Pace $pace,
        public float $restSeconds,
        public ?ScoringRule $rule,
        public ?ServiceManner $manner,
        public ?TouchLimit $touches,
    ) {
    }

    public function countedBy(?ScoringRule $rule): self
    {
        return new self(
            name: $this->name,
            script: $this->script,
            dose: $this->dose,
            pace: $this->pace,
            restSeconds: $this->restSeconds,
            rule: $rule,
            manner: $this->manner,
            touches: $this->touches,
        );
    }
}
