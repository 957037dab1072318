<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

use FleetSparrow\Core\Plan\PlanPlayer;

/** Names on the slots of one place. */
final readonly class SeatedCrew
{
    /** @param  list<int>  $players  slot → player */
    private function __construct(public Crew $crew, public array $players)
    {
    }

    public static function of(Station $station): self
    {
        $crew = new Crew(count($station->workers), count($station->servers), $station->isHelped);

        return new self(
            $crew,
            array_map(static fn (PlanPlayer $player): int => $player->id, [...$station->workers, ...$station->servers]),
        );
    }
}
