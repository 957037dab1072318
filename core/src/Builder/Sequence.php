<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Shared\DurationEstimate;

/**
 * One choice for each part of a session so far, null where a part is left out, what it is worth, and what stands on the ground after it.
 */
final readonly class Sequence
{
    /**
     * @param  list<Option|null>  $options  in the order of the phases
     * @param  float  $value  the objective
     * @param  list<array<string, float>>  $extras  of each part: variety, sharedLayout and setUpSeconds, which depend on what stood before
     * @param  list<int>  $waterBefore  places before which there is water
     * @param  float  $drySeconds  of work since the last water
     * @param  list<string>  $slugs  of the drills in it
     * @param  array<string, true>  $scripts  texts of their scripts
     * @param  array<string, true>  $doseKinds
     */
    public function __construct(
        public array $options,
        public float $value,
        public DurationEstimate $time,
        public array $extras,
        public array $waterBefore,
        public ?Layout $ground = null,
        public int $stations = 0,
        public string $layoutKey = '',
        public float $drySeconds = 0.0,
        public array $slugs = [],
        public array $scripts = [],
        public array $doseKinds = [],
    ) {
    }
}
