<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\Family;

/** One thing to do at home. */
final readonly class RoutineItem
{
    /**
     * @param  float  $minutes  with its own rests
     * @param  list<string>  $reasons  for the coach
     */
    public function __construct(
        public string $drill,
        public string $name,
        public Family $family,
        public Dose $dose,
        public float $minutes,
        public array $reasons,
        public ?string $target,
    ) {
    }
}
