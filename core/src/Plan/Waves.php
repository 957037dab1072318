<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

/**
 * Who works when: S stations of w workers and v player-servers.
 *
 * Turns = ceil(N ÷ (S·(w + v))) × ceil((w + v) ÷ w): within a station worker and server swap.
 *
 * Example: `Waves::count(14, 7, 1, 1)` is `2`.
 */
final class Waves
{
    public static function count(int $players, int $stations, int $workers, int $servers): int
    {
        return (int) (ceil($players / ($stations * ($workers + $servers))) * ceil(($workers + $servers) / $workers));
    }

    /**
     * The players at work in each turn, in list order. Everybody works exactly once; a turn in which a short group
     * has nobody left to work is left out.
     *
     * @param  non-empty-list<PlanPlayer>  $players
     * @param  int<1, max>  $stations
     * @param  int<1, max>  $workers
     * @param  int<0, max>  $servers
     * @return non-empty-list<non-empty-list<PlanPlayer>>
     */
    public static function of(array $players, int $stations, int $workers, int $servers): array
    {
        $turns = [];
        foreach (array_chunk($players, $stations * ($workers + $servers)) as $group) {
            $swaps = [];
            foreach (array_chunk($group, $workers + $servers) as $station) {
                foreach (array_chunk($station, $workers) as $swap => $working) {
                    $swaps[$swap] = [...($swaps[$swap] ?? []), ...$working];
                }
            }
            $turns = [...$turns, ...array_values($swaps)];
        }

        return $turns;
    }
}
