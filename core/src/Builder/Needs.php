<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

/** What the season so far says the squad needs. */
final readonly class Needs
{
    /**
     * @param  array<string, int>  $familyDaysAgo  family → days since it was last done; left out when never
     * @param  array<string, int>  $drillDaysAgo  slug → days since it was last done; left out when never
     * @param  list<string>  $lastTime  slugs of the last session
     * @param  float|null  $weakerShare  share of the squad's counted and estimated touches with the weaker foot lately; null when unknown
     * @param  array<string, int>  $nextRungs  slug → players for whom it is the next rung of a ladder
     * @param  array<string, int>  $records  slug → players with a record to beat
     * @param  array<string, list<string>>  $nextFor  slug → names of those for whom it is the next rung
     * @param  array<string, list<Noted>>  $stuck  slug → who has stood still on a line of it, where and since when
     * @param  array<string, list<Noted>>  $behind  slug → whose other foot is at how many hundredths of the strong one
     * @param  int  $sessions  run this season
     * @param  list<string>|null  $movesMet  slugs of moves that are there; null where nobody keeps count, and nothing is held back
     */
    public function __construct(
        public array $familyDaysAgo = [],
        public array $drillDaysAgo = [],
        public array $lastTime = [],
        public ?float $weakerShare = null,
        public array $nextRungs = [],
        public array $records = [],
        public ?array $movesMet = null,
        public array $nextFor = [],
        public array $stuck = [],
        public array $behind = [],
        public int $sessions = 0,
    ) {
    }
}
