<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\RepTouches;
use FleetSparrow\Core\Touch\Tally;

/**
 * What one drill of one session comes to for one player, in touches: estimated as it was planned, and set by set what was counted
 * instead. A set whose number says how much was done is counted, the others stay estimated; a circuit's and a game's always do. A side is
 * never made up: what a script leaves open is of an unknown side, counted or not.
 */
final readonly class DrillTouches
{
    /**
     * @param  Tally  $planned  of all sets
     * @param  array<string, int>  $sets  side → sets planned
     * @param  array<string, Tally>  $perCount  side → touches of one of what is counted
     */
    private function __construct(
        public Tally $planned,
        private array $sets,
        private array $perCount,
    ) {
    }

    /** @param  Tally  $planned  of this player in the block */
    public static function of(Block $block, StrongFoot $strong, Tally $planned): self
    {
        [$drill, $dose, $kind] = [$block->drill, $block->dose, $block->drill?->rule?->kind];
        if ($drill === null || $dose === null || $kind === null || $dose instanceof CircuitDose || ! $kind->tellsTouches()) {
            return new self($planned, [], []);
        }
        $perCount = self::perCount($drill, $kind, $dose->sides()->sidesFor($strong));

        return new self($planned, array_map(static fn (): int => $dose->sets(), $perCount), $perCount);
    }

    /** Of a drill that nothing was planned of, as where numbers come from paper: what was counted, and nothing besides. */
    public static function unplanned(Drill $drill, MarkKind $kind): self
    {
        $isTold = ! $drill->dose instanceof CircuitDose && $kind->tellsTouches();
        $perCount = $isTold ? self::perCount($drill, $kind, Side::cases()) : [];

        return new self(Tally::zero(), array_map(static fn (): int => 0, $perCount), $perCount);
    }

    /**
     * @param  list<Side>  $sides
     * @return array<string, Tally> side → touches of one of what is counted
     */
    private static function perCount(Drill $drill, MarkKind $kind, array $sides): array
    {
        $perCount = [];
        foreach ($sides as $side) {
            $rep = RepTouches::of($drill->script, $drill->layout->timesAlongPath(), $side);
            if ($rep->contacts() > 0.0) {
                $perCount[$side->value] = $rep->times(1.0 / ($kind->isOfTouches() ? $rep->contacts() : $drill->countsPerRep()));
            }
        }

        return $perCount;
    }

    /** The same drill once more in the session. */
    public function plus(self $other): self
    {
        $sets = $this->sets;
        foreach ($other->sets as $side => $count) {
            $sets[$side] = ($sets[$side] ?? 0) + $count;
        }

        return new self($this->planned->plus($other->planned), $sets, $this->perCount + $other->perCount);
    }

    /**
     * What was counted takes the place of what was estimated for as many sets.
     *
     * @param  array<string, list<float>>  $counts  side → a number a set, of the drill's own measure
     * @return array{estimated: Tally, counted: Tally}
     */
    public function with(array $counts): array
    {
        [$counted, $instead] = [[], []];
        $perSet = $this->plannedCountsPerSet();
        foreach (array_intersect_key($this->sets, $counts) as $side => $sets) {
            $counted[] = $this->perCount[$side]->times(array_sum($counts[$side]));
            $instead[] = $this->perCount[$side]->times($perSet * min(count($counts[$side]), $sets));
        }

        return ['estimated' => $this->planned->less(Tally::sum($instead)), 'counted' => Tally::sum($counted)];
    }

    /** How many of what is counted a set was planned to bring: the sets are alike. */
    private function plannedCountsPerSet(): float
    {
        $contacts = 0.0;
        foreach ($this->sets as $side => $sets) {
            $contacts += $sets * $this->perCount[$side]->contacts();
        }

        return $contacts <= 0.0 ? 0.0 : $this->planned->contacts() / $contacts;
    }

    /** @return array{planned: array<string, float>, sets: array<string, int>, perCount: array<string, array<string, float>>} */
    public function fields(): array
    {
        $rounded = static fn (Tally $tally): array => array_map(static fn (float $count): float => round($count, 3), $tally->byKind);

        return ['planned' => $rounded($this->planned), 'sets' => $this->sets, 'perCount' => array_map($rounded, $this->perCount)];
    }

    /** @param  array{planned: array<string, float>, sets: array<string, int>, perCount: array<string, array<string, float>>}  $fields */
    public static function fromFields(array $fields): self
    {
        return new self(
            Tally::ofContacts(array_map(floatval(...), $fields['planned'])),
            $fields['sets'],
            array_map(static fn (array $counts): Tally => Tally::ofContacts(array_map(floatval(...), $counts)), $fields['perCount']),
        );
    }
}
