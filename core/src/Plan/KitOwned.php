<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Layout\Equipment;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Layout\Layout;

/** What a squad has; what it has not said is null and never short. */
final readonly class KitOwned
{
    /**
     * @param  int|null  $wallPlaces  how many can play at a wall at a time
     * @param  int|null  $boards  rebound boards, each a place at a wall wherever it is carried
     */
    public function __construct(
        public ?int $markers = null,
        public ?int $balls = null,
        public ?int $goals = null,
        public ?int $wallPlaces = null,
        public ?int $boards = null,
    ) {
    }

    /** Where two markers stand in for every goal that is missing. */
    public function withoutGoals(): self
    {
        return new self($this->markers, $this->balls, wallPlaces: $this->wallPlaces, boards: $this->boards);
    }

    /** How many can play at walls and boards together; null where nothing is said of either. */
    public function atWalls(): ?int
    {
        return $this->wallPlaces === null && $this->boards === null ? null : ($this->wallPlaces ?? 0) + ($this->boards ?? 0);
    }

    /**
     * Stations that walls and goals have places for: one where nothing is said, null for a layout that needs neither.
     *
     * @return int<1, max>|null
     */
    public function places(Layout $layout): ?int
    {
        $needed = $layout->equipment();
        $places = null;
        foreach ([[Equipment::Wall, $this->atWalls()], [Equipment::Goal, $this->goals]] as [$what, $owned]) {
            $each = $needed[$what->value] ?? 0;
            if ($each > 0) {
                $places = min($places ?? PHP_INT_MAX, max(1, intdiv($owned ?? $each, $each)));
            }
        }

        return $places;
    }

    /** How many stations there is enough for; null where nothing is known to be short. */
    public function stations(Kit $ofOne): ?int
    {
        $enough = null;
        foreach ([
            [$ofOne->markers(), $this->markers],
            [$ofOne->equipment[Equipment::Ball->value] ?? 0, $this->balls],
            [$ofOne->equipment[Equipment::Goal->value] ?? 0, $this->goals],
            [$ofOne->equipment[Equipment::Wall->value] ?? 0, $this->atWalls()],
        ] as [$count, $owned]) {
            if ($count > 0 && $owned !== null) {
                $enough = min($enough ?? PHP_INT_MAX, intdiv($owned, $count));
            }
        }

        return $enough;
    }

    /** @return list<string> what is short, each with what would do instead */
    public function shortages(Kit $needed): array
    {
        $short = [];
        foreach ([
            ['marker', 'markers', $needed->markers(), $this->markers, 'Use fewer stations, or bottles for the rest.'],
            ['ball', 'balls', $needed->equipment[Equipment::Ball->value] ?? 0, $this->balls, 'Use fewer stations, or take turns with one.'],
            ['goal', 'goals', $needed->equipment[Equipment::Goal->value] ?? 0, $this->goals, 'Two markers stand in for one.'],
            [
                'place at a wall or a board',
                'places at walls and boards',
                $needed->equipment[Equipment::Wall->value] ?? 0,
                $this->atWalls(),
                'Use fewer stations; a rebound board, a bench on its side or a partner stands in.',
            ],
        ] as [$one, $many, $count, $owned, $instead]) {
            if ($owned !== null && $count > $owned) {
                $short[] = "This needs {$count} ".($count === 1 ? $one : $many)." and the squad has {$owned}. {$instead}";
            }
        }

        return $short;
    }
}
