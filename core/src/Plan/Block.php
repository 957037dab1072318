<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\CompositionKind;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Shared\Side;

/** One entry of the running order: a drill with its dose and stations, or minutes of water, talk or game. */
final readonly class Block
{
    /** @param  int<1, max>|null  $stations */
    private function __construct(
        public string $id,
        public BlockKind $kind,
        public float $minutes,
        public ?Drill $drill,
        public ?Dose $dose,
        public Tempo $tempo,
        public ?int $stations,
        public ?int $links = null,
        public ?string $together = null,
        public bool $stationsWait = false,
        public ?Counted $counted = null,
    ) {
    }

    /**
     * @param  int|null  $stations  null for as many as the group needs to work in one turn
     * @param  int|null  $links  of a build-up, how many are done today; null for all
     * @param  string|null  $together  blocks in a row with the same name here run at the same time, and groups go round them
     * @param  bool  $stationsWait  groups of such a round move on when the last is done, not on the whistle
     * @param  Counted|null  $counted  null for what the drill says
     *
     * @throws InvalidPlan If the number of stations is outside 1 to 30, there are not so many links, the name is empty, or the
     *     dose cannot give the number that was chosen.
     */
    public static function ofDrill(
        string $id,
        Drill $drill,
        Dose $dose,
        Tempo $tempo,
        ?int $stations,
        ?int $links = null,
        ?string $together = null,
        bool $stationsWait = false,
        ?Counted $counted = null,
    ): self {
        if ($together !== null && preg_match('/\A[A-Za-z0-9-]{1,20}\z/', $together) !== 1) {
            throw InvalidPlan::at('together', 'A round of stations is named with letters, digits and hyphens.');
        }
        $isBuildUp = $drill->composition->kind === CompositionKind::BuildUp;
        $most = count($drill->composition->parts);
        if ($links !== null && (! $isBuildUp || $links < 1 || $links > $most)) {
            throw InvalidPlan::at('links', $isBuildUp ? "This build-up has 1 to {$most} links." : 'Only a build-up has links.');
        }
        if ($stations !== null && ($stations < 1 || $stations > 30)) {
            throw InvalidPlan::at('stations', 'Stations must be between 1 and 30.');
        }

        $rule = ($counted ?? Counted::asTheDrillSays())->rule($drill, $dose);

        return new self(
            id: $id,
            kind: BlockKind::Drill,
            minutes: 0.0,
            drill: ($links === null ? $drill : $drill->upTo($links))->countedBy($rule),
            // Items of a circuit carry numbers of their own.
            dose: $counted?->isNothing === true && $dose instanceof CircuitDose ? $dose->withoutNumbers() : $dose,
            tempo: $tempo,
            stations: $stations,
            links: $links,
            together: $together,
            stationsWait: $stationsWait && $together !== null,
            counted: $counted,
        );
    }

    /**
     * Every side of what is counted, and of each item of a circuit that is.
     *
     * @param  int  $ballSize  of the squad
     * @return list<BlockLine>
     */
    public function lines(int $ballSize): array
    {
        if ($this->drill === null || $this->dose === null) {
            return [];
        }
        $lines = [];
        foreach (Side::cases() as $side) {
            $task = $this->drill->task($this->dose, $side, $ballSize);
            if ($task !== null && $this->drill->rule !== null) {
                $lines[] = new BlockLine($side, $task, $this->drill->rule->kind);
            }
            foreach ($this->dose instanceof CircuitDose ? $this->dose->items : [] as $i => $item) {
                $task = $this->drill->itemTask($item, $side, $ballSize);
                if ($task !== null && $item->rule !== null) {
                    $lines[] = new BlockLine($side, $task, $item->rule->kind, $i, $item->name);
                }
            }
        }

        return $lines;
    }

    /** @param  int<1, max>  $stations */
    public function withStations(int $stations): self
    {
        return $this->with(stations: $stations);
    }

    public function withDose(Dose $dose): self
    {
        return $this->with(dose: $dose);
    }

    /** @param  int<1, max>|null  $stations */
    private function with(?Dose $dose = null, ?int $stations = null): self
    {
        return new self(
            id: $this->id,
            kind: $this->kind,
            minutes: $this->minutes,
            drill: $this->drill,
            dose: $dose ?? $this->dose,
            tempo: $this->tempo,
            stations: $stations ?? $this->stations,
            links: $this->links,
            together: $this->together,
            stationsWait: $this->stationsWait,
            counted: $this->counted,
        );
    }

    /** @throws InvalidPlan If the minutes are outside 0.5 to 60, or the kind is a drill. */
    public static function ofMinutes(string $id, BlockKind $kind, float $minutes): self
    {
        if ($kind === BlockKind::Drill) {
            throw InvalidPlan::at('kind', 'A drill block needs a drill, not minutes.');
        }
        if (! ($minutes >= 0.5 && $minutes <= 60.0)) {
            throw InvalidPlan::at('minutes', 'Minutes must be between 0.5 and 60.');
        }

        return new self($id, $kind, $minutes, null, null, Tempo::Steady, null);
    }
}
