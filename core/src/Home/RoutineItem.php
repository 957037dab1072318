<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Plan\Block;

/** One thing to do at home. */
final readonly class RoutineItem
{
    /**
     * @param  Dose  $dose  at home, which is not always the drill's own
     * @param  int|null  $links  of a build-up, how many are done; null for all
     * @param  float  $minutes  with its own rests
     * @param  list<string>  $reasons  for the coach
     * @param  string|null  $target  the number to beat, in words
     */
    public function __construct(
        public Drill $drill,
        public Dose $dose,
        public ?int $links,
        public float $minutes,
        public array $reasons,
        public ?string $target,
    ) {
    }

    /** The same as an entry of a running order. */
    public function block(): Block
    {
        return Block::ofDrill($this->drill->slug, $this->drill, $this->dose, Tempo::Steady, 1, $this->links);
    }
}
