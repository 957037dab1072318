<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Shared\Fault;

/** What a coach says and looks for: words only, so that mending them changes no record. */
final readonly class Teaching
{
    /**
     * @param  non-empty-list<string>  $points  two or three coaching points
     * @param  list<Question>  $questions
     * @param  non-empty-list<Fault>  $faults
     * @param  non-empty-list<string>  $cautions
     * @param  list<StandIn>  $standIns
     * @param  list<string>  $words  other words it is found by
     * @param  bool  $judgesQuality  whether the coach ticks accurate, right pace and clean contact, and moves on when all are there
     * @param  string  $note  where a protocol comes from
     */
    public function __construct(
        public array $points,
        public array $questions,
        public array $faults,
        public array $cautions,
        public array $standIns,
        public array $words,
        public bool $judgesQuality,
        public string $note,
    ) {
    }
}
