<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Book;

use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Shared\AgeGroup;

/** What a coach has today: only drills that fit all of it are found. What is null does not matter. */
final readonly class DrillFilter
{
    /**
     * @param  string|null  $move  slug
     * @param  string|null  $feet  one or both
     * @param  list<string>|null  $equipment  what is there beside markers and balls; a drill that needs another is left out
     * @param  int|null  $widthMillimetres  of the ground there is, either way round
     * @param  string|null  $people  alone, pair or group: what is possible with so many includes what needs fewer
     * @param  bool|null  $wall  true for drills at a wall only, false for those without
     * @param  float|null  $minutes  at most, for one turn
     */
    public function __construct(
        public ?Family $family = null,
        public ?string $move = null,
        public ?string $surface = null,
        public ?string $feet = null,
        public ?array $equipment = null,
        public ?int $markers = null,
        public ?int $widthMillimetres = null,
        public ?int $depthMillimetres = null,
        public ?string $people = null,
        public ?bool $wall = null,
        public ?float $minutes = null,
        public ?AgeGroup $ageGroup = null,
    ) {
    }

    public function lets(DrillFacts $facts): bool
    {
        return ($this->family === null || $facts->family === $this->family->value)
            && ($this->move === null || in_array($this->move, $facts->moves, true))
            && ($this->surface === null || in_array($this->surface, $facts->surfaces, true))
            && ($this->feet === null || $facts->feet === $this->feet)
            && ($this->equipment === null || array_diff(array_keys($facts->equipment), ['ball', ...$this->equipment]) === [])
            && ($this->markers === null || $facts->markers <= $this->markers)
            && $this->fits($facts)
            && ($this->people === null || self::PEOPLE[$facts->people] <= (self::PEOPLE[$this->people] ?? 0))
            && ($this->wall === null || isset($facts->equipment['wall']) === $this->wall)
            && ($this->minutes === null || ($facts->minutes ?? 0.0) <= $this->minutes)
            && ($this->ageGroup === null || $facts->underAge <= $this->ageGroup->under);
    }

    private const PEOPLE = ['alone' => 1, 'pair' => 2, 'group' => 3];

    private function fits(DrillFacts $facts): bool
    {
        if ($this->widthMillimetres === null || $this->depthMillimetres === null) {
            return true;
        }
        [$w, $d] = [$facts->widthMillimetres, $facts->depthMillimetres];

        return $w <= $this->widthMillimetres
            && $d <= $this->depthMillimetres
            || $d <= $this->widthMillimetres
            && $w <= $this->depthMillimetres;
    }
}
