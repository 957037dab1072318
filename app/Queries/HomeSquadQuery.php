<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\HomeEntry;
use App\Models\HomeLink;
use App\Models\Squad;
use App\Tenancy\ClubDay;

/** Home practice of a squad at a glance: as many queries, whatever the number of players. */
final class HomeSquadQuery
{
    public function __construct(private readonly KeptRoutineQuery $kept, private readonly HomePracticeQuery $practice)
    {
    }

    public function of(Squad $squad, ClubDay $day): HomeSquad
    {
        $players = array_values(array_map(intval(...), $squad->players->modelKeys()));

        $waiting = $this->practice->waiting($squad, $day);

        return new HomeSquad(
            squad: $squad,
            kept: $this->kept->of($squad, $players),
            links: HomeLink::query()->whereIn('player_id', $players)->get()->keyBy('player_id')->all(),
            days: $this->practice->days($players, $day->today()),
            names: self::names($squad, $waiting),
            waiting: $waiting,
        );
    }

    /**
     * @param  list<array{entry: HomeEntry, ...}>  $waiting
     * @return array<string, string> slug → name
     */
    private static function names(Squad $squad, array $waiting): array
    {
        $slugs = array_values(array_unique(array_map(static fn (array $one): string => $one['entry']->drill_slug, $waiting)));

        /** @var array<string, string> $names */
        $names = DrillVersion::currentFor($squad)->whereIn('drill_versions.slug', $slugs)
            ->pluck('drill_versions.name', 'drill_versions.slug')->all();

        return $names;
    }
}
