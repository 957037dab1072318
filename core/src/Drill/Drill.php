<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseFields;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Layout\Kind\CommonBox;
use FleetSparrow\Core\Layout\Kind\OnTheSpot;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Record\CountUnit;
use FleetSparrow\Core\Record\ScoringRule;
use FleetSparrow\Core\Record\Task;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;

/** One activity of the drill book: what the feet do, where, how much, and how it is counted. */
final readonly class Drill
{
    public Script $script;

    /** Whether there is a ball in it: footwork without a touch has none. */
    public bool $usesBall;

    /**
     * @param  float  $secondsPerRep  one rep at a steady tempo
     * @param  float  $goodChance  chance of a good rep before any mark (default of the drill)
     * @param  float  $fetchSeconds  to fetch a missed ball
     * @param  Dose|null  $dose  null when it comes with none and asks for one when planned
     * @param  ScoringRule|null  $rule  null when nothing is counted
     * @param  Layout|null  $formerLayout  on which numbers of the same line were made before it was done on the spot
     */
    public function __construct(
        public string $slug,
        public string $name,
        public Family $family,
        public string $summary,
        public Layout $layout,
        public Composition $composition,
        public float $secondsPerRep,
        public float $goodChance,
        public float $fetchSeconds,
        public ?Dose $dose,
        public ?ScoringRule $rule,
        public Organisation $organisation,
        public Demands $demands,
        public Teaching $teaching,
        public ?Layout $formerLayout = null,
    ) {
        $this->script = $composition->script;
        $this->usesBall = $family !== Family::Footwork || Tally::of($composition->script)->contacts() > 0.0;
    }

    /**
     * What its stations need.
     *
     * @param  int  $inPlay  balls that are worked with at once, where the layout alone does not say
     * @param  Layout|null  $laid  as it is laid for those who come; null for the drill's own
     */
    public function kit(int $stations, int $inPlay = 0, ?Layout $laid = null): Kit
    {
        $kit = Kit::of($laid ?? $this->layout, $stations, $inPlay);

        return $this->usesBall ? $kit : $kit->withoutBalls();
    }

    /** Of what is counted: a dose of 100 touches is done touch by touch. */
    public function pace(Tempo $tempo): Pace
    {
        $seconds = $this->secondsPerRep / $this->countsPerRep() * $tempo->secondsFactor();

        return Pace::of($seconds, $this->goodChance, $this->fetchSeconds);
    }

    /** How much one rep counts. */
    public function countsPerRep(): float
    {
        return $this->rule === null || $this->rule->counts === CountUnit::Rep
            ? 1.0
            : $this->rule->counts->perRep(Tally::of($this->script, $this->layout->timesAlongPath())->contacts());
    }

    /**
     * A dose for this drill from the fields a plan writes; a circuit's items come from the drill itself.
     *
     * @param  array<array-key, mixed>|null  $fields  null for the drill's own
     *
     * @throws InvalidDose If the drill comes with no dose and none is given, or the fields cannot be carried out.
     */
    public function doseFrom(?array $fields): Dose
    {
        if ($fields === null) {
            return $this->dose ?? throw InvalidDose::at('dose.kind', 'This drill comes with no dose. Say how much of it.');
        }
        $isCircuit = ($fields['kind'] ?? null) === 'circuit';
        if ($isCircuit !== ($this->composition->items !== [])) {
            throw InvalidDose::at('dose.kind', $isCircuit ? 'Only a circuit is done in rounds.' : 'A circuit is done in rounds.');
        }

        return $this->composition->items === []
            ? DoseKinds::standard()->read($fields)
            : CircuitDose::fromFields($this->composition->items, new DoseFields($fields));
    }

    /**
     * The task a mark of this drill with this dose and side belongs to; null when nothing is counted.
     *
     * @param  int  $ballSize  of the squad
     */
    public function task(Dose $dose, Side $side, int $ballSize): ?Task
    {
        return $this->rule === null
            ? null
            : Task::of(
                $this->script,
                $this->lineLayout(),
                $dose,
                $this->rule,
                $side,
                ['service' => $this->organisation->serviceKey()] + $this->demands->task(),
                $ballSize,
            );
    }

    /**
     * The task of one item of a circuit; null when nothing is counted in it.
     *
     * @param  int  $ballSize  of the squad
     */
    public function itemTask(CircuitItem $item, Side $side, int $ballSize): ?Task
    {
        $manner = $item->manner === null ? '' : " {$item->manner->value}";
        $service = $manner === '' ? $this->organisation->serviceKey() : $this->organisation->service->value.$manner;

        return $item->rule === null
            ? null
            : Task::of(
                $item->script,
                $this->lineLayout(),
                $item->dose,
                $item->rule,
                $side,
                ['service' => $service] + $this->demands->task(),
                $ballSize,
            );
    }

    /** The same drill with another number to write down, or none. */
    public function countedBy(?ScoringRule $rule): self
    {
        return $rule === $this->rule ? $this : $this->with(rule: $rule, isCounted: $rule !== null);
    }

    /** The same drill with only the first links of its build-up; a drill that is none stays as it is. */
    public function upTo(int $links): self
    {
        $share = $this->composition->kind === CompositionKind::BuildUp
            ? min($links, count($this->composition->parts)) / count($this->composition->parts)
            : 1.0;

        return $this->with(composition: $this->composition->upTo($links), secondsPerRep: $this->secondsPerRep * $share);
    }

    private function with(
        ?Composition $composition = null,
        ?float $secondsPerRep = null,
        ?ScoringRule $rule = null,
        bool $isCounted = true,
    ): self {
        return new self(
            slug: $this->slug,
            name: $this->name,
            family: $this->family,
            summary: $this->summary,
            layout: $this->layout,
            composition: $composition ?? $this->composition,
            secondsPerRep: $secondsPerRep ?? $this->secondsPerRep,
            goodChance: $this->goodChance,
            fetchSeconds: $this->fetchSeconds,
            dose: $this->dose,
            rule: $isCounted ? $rule ?? $this->rule : null,
            organisation: $this->organisation,
            demands: $this->demands,
            teaching: $this->teaching,
            formerLayout: $this->formerLayout,
        );
    }

    /** Where nothing is marked out, or room goes by head, it is the same task as in the box of before; any other ground is another. */
    private function lineLayout(): Layout
    {
        return $this->formerLayout !== null && in_array($this->layout->kind(), [OnTheSpot::KIND, CommonBox::KIND], true)
            ? $this->formerLayout
            : $this->layout;
    }
}
