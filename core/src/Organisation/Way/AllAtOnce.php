<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation\Way;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;

/** Ways in which a place works as one: a go each set and side, with the same seats in every one. */
trait AllAtOnce
{
    public function goes(Crew $crew, GoPattern $pattern): array
    {
        $goes = [];
        $seats = $this->seats($crew);
        foreach ($pattern->sides as $side) {
            for ($set = 1; $set <= $pattern->sets; $set++) {
                $gap = $goes === [] ? 0.0 : $pattern->restSeconds;
                $goes[] = new Go($side, $set, $gap, 0.0, $seats, range(0, $crew->workers - 1));
            }
        }

        return $goes;
    }

    public function lanes(Crew $crew): array
    {
        return array_map(static fn (int $slot): array => [$slot], range(0, $crew->workers - 1));
    }

    public function shifts(Crew $crew): int
    {
        return 1;
    }

    /** @return array<int, Seat> */
    private function seats(Crew $crew): array
    {
        $seats = [];
        for ($slot = 0; $slot < $crew->people(); $slot++) {
            $seats[$slot] = $slot < $crew->workers ? $this->seat($crew, $slot) : new Seat(Role::Counts, slot: $slot);
        }

        return $seats;
    }
}
