<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Layout\Equipment;
use FleetSparrow\Core\Layout\Kit;

/** What a squad has; what it has not said is null and never short. */
final readonly class KitOwned
{
    public function __construct(public ?int $markers = null, public ?int $balls = null, public ?int $goals = null)
    {
    }

    /** How many stations there is enough for; null where nothing is known to be short. */
    public function stations(Kit $ofOne): ?int
    {
        $enough = null;
        foreach ([
            [$ofOne->markers(), $this->markers],
            [$ofOne->equipment[Equipment::Ball->value] ?? 0, $this->balls],
            [$ofOne->equipment[Equipment::Goal->value] ?? 0, $this->goals],
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
            ['markers', $needed->markers(), $this->markers, 'Use fewer stations, or bottles for the rest.'],
            ['balls', $needed->equipment[Equipment::Ball->value] ?? 0, $this->balls, 'Use fewer stations, or take turns with one.'],
            ['goals', $needed->equipment[Equipment::Goal->value] ?? 0, $this->goals, 'Two markers stand in for one.'],
        ] as [$what, $count, $owned, $instead]) {
            if ($owned !== null && $count > $owned) {
                $short[] = "This needs {$count} ".($count === 1 ? substr($what, 0, -1) : $what)." and the squad has {$owned}. {$instead}";
            }
        }

        return $short;
    }
}
