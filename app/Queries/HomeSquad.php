<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\HomeEntry;
use App\Models\HomeLink;
use App\Models\RecordLine;
use App\Models\Squad;
use App\Planning\KeptRoutine;
use FleetSparrow\Core\Shared\CalendarDate;

final readonly class HomeSquad
{
    /**
     * @param  array<int, KeptRoutine>  $kept  by player
     * @param  array<int, HomeLink>  $links  by player
     * @param  array<int, list<CalendarDate>>  $days  player → days with something practised, the latest first
     * @param  array<string, string>  $names  of drills that wait, by slug
     * @param  list<array{entry: HomeEntry, lines: array<string, RecordLine>, bests: array<string, float>, doubts: list<string>}>  $waiting
     */
    public function __construct(
        public Squad $squad,
        public array $kept,
        public array $links,
        public array $days,
        public array $names,
        public array $waiting,
    ) {
    }
}
