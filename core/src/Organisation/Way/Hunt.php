<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation\Way;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\WorkingWay;

/**
 * Some stand with a ball, the others find a free one: ⌊N ÷ 2⌋ serve, and the next ones at each half of a set. A smaller wish
 * stands, and then more move than can be served.
 */
final readonly class Hunt implements WorkingWay
{
    /** @param  int<0, max>  $wished  servers; 0 for as many as half of the players */
    public function __construct(private int $wished = 0)
    {
    }

    public function goes(Crew $crew, GoPattern $pattern): array
    {
        [$goes, $first] = [[], 0];
        $serving = max(0, $this->serving($crew) - $crew->servers);
        foreach ($pattern->sides as $side) {
            for ($set = 1; $set <= $pattern->sets; $set++) {
                foreach ([0, 1] as $part) {
                    $goes[] = new Go(
                        $side,
                        $set,
                        $goes === [] || $part === 1 ? 0.0 : $pattern->restSeconds,
                        0.0,
                        $this->seats($crew, $first, $serving),
                        $part === 1 ? range(0, $crew->workers - 1) : [],
                        0.5,
                    );
                    $first = ($first + max(1, $serving)) % $crew->workers;
                }
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

    public function secondsPerRep(Crew $crew, float $seconds, ?float $setSeconds = null): float
    {
        $serving = $this->serving($crew);

        // While one moves: longer where more move than can be served.
        return $seconds * max(1.0, ($crew->people() - $serving) / max(1, $serving));
    }

    public function balls(Crew $crew): int
    {
        return max(1, min($this->serving($crew), $crew->people() - $this->serving($crew)));
    }

    private function serving(Crew $crew): int
    {
        $half = intdiv($crew->people(), 2);

        return $this->wished > 0 ? min($half, $this->wished) : $half;
    }

    /** @return array<int, Seat> */
    private function seats(Crew $crew, int $first, int $serving): array
    {
        $movers = $crew->workers - $serving;
        $served = min($serving + $crew->servers, $movers);
        $busy = $movers === 0 ? 0.0 : ($crew->people() === 1 ? 1.0 : $served / $movers);
        $seats = [];
        for ($slot = 0; $slot < $crew->workers; $slot++) {
            $isServing = ($slot - $first + $crew->workers) % $crew->workers < $serving;
            $seats[$slot] = $isServing
                ? new Seat(Role::Serves, slot: $slot, wait: 1.0 - min(1.0, $movers / max(1, $serving + $crew->servers)))
                : new Seat(Role::Works, slot: $slot, ball: $busy, wait: 1.0 - $busy);
        }
        for ($slot = $crew->workers; $slot < $crew->people(); $slot++) {
            $seats[$slot] = new Seat(Role::Serves, slot: $slot);
        }

        return $seats;
    }
}
