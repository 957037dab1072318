<?php

declare(strict_types=1);

namespace App\Queries;

use App\Planning\SeasonSpan;
use FleetSparrow\Core\Builder\FortnightNeed;
use FleetSparrow\Core\Clock\Calibration;
use FleetSparrow\Core\Season\FamilyCoverage;
use FleetSparrow\Core\Season\Overrun;
use FleetSparrow\Core\Season\PlayedFamily;

/** A squad's season, read. */
final readonly class SquadSeason
{
    /**
     * @param  list<PlayedFamily>  $played
     * @param  array<string, FamilyCoverage>  $families
     * @param  array<string, array<int, int>>  $marks  family → week → tries written down
     * @param  array{touches: float|null, strikes: float|null}  $load  the last seven days against the four weeks before
     * @param  array{set-up: Calibration, explain: Calibration, change: Calibration}  $times
     * @param  list<Overrun>  $overruns
     * @param  list<FortnightNeed>  $needs
     */
    public function __construct(
        public SeasonSpan $span,
        public array $played,
        public array $families,
        public array $marks,
        public array $load,
        public array $times,
        public array $overruns,
        public array $needs,
    ) {
    }
}
