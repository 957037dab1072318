<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Pattern;
use FleetSparrow\Core\Organisation\Stationing;
use FleetSparrow\Core\Organisation\WorkTurn;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Rotation\PassingQueue;

/** How each player spends the turns of a block. */
final class BlockTimes
{
    /**
     * @param  list<WorkTurn>  $turns
     * @param  list<float>  $turnMeans  seconds of each, rests included
     * @param  array<array-key, PassingQueue>  $queues  player → the line they stand in, for those who do
     * @param  list<PlanPlayer>  $players
     * @return array<int, PlayerTime>
     */
    public static function of(
        Drill $drill,
        Dose $dose,
        Stationing $stationing,
        array $turns,
        array $turnMeans,
        array $queues,
        array $players,
        float $changeSeconds,
    ): array {
        $rest = self::restSeconds($dose);
        $idle = self::idleShares($drill, $stationing);
        $ball = $serving = $waiting = $longest = $stretch = array_fill_keys(
            array_map(static fn (PlanPlayer $player): int => $player->id, $players),
            0.0,
        );
        foreach ($turns as $i => $turn) {
            $mean = $turnMeans[$i] ?? 0.0;
            $work = max(0.0, $mean - $rest);
            $busy = [];
            foreach ($turn->working as $player) {
                $queue = $queues[$player->id] ?? null;
                $own = $work * (1.0 - ($idle[$player->id] ?? 0.0)) / ($queue === null ? 1.0 : max(
                    1.0,
                    $queue->meanGapSeconds() / $queue->passSeconds,
                ));
                $ball[$player->id] += $own;
                $waiting[$player->id] += $work - $own;
                $longest[$player->id] = max($longest[$player->id], min($work - $own, $queue?->meanGapSeconds() ?? 0.0));
                $busy[$player->id] = true;
            }
            foreach ([...$turn->serving, ...$stationing->standing] as $player) {
                $serving[$player->id] += $work;
                $busy[$player->id] = true;
            }
            foreach ($stretch as $id => $before) {
                $stretch[$id] = isset($busy[$id]) ? 0.0 : $before + $mean + (count($turns) > 1 ? $changeSeconds : 0.0);
                $waiting[$id] += isset($busy[$id]) ? 0.0 : $mean;
                $longest[$id] = max($longest[$id], $stretch[$id]);
            }
        }
        $times = [];
        foreach (array_keys($ball) as $id) {
            $times[$id] = new PlayerTime($ball[$id], $serving[$id], $waiting[$id], $longest[$id]);
        }

        return $times;
    }

    private static function restSeconds(Dose $dose): float
    {
        if (! $dose instanceof CircuitDose) {
            return max(0, $dose->sides()->count() * $dose->sets() - 1) * $dose->restSeconds();
        }
        $within = array_sum(array_map(static fn ($item): float => $item->restSeconds, array_slice($dose->items, 0, -1)));

        return $dose->sets() * $within + ($dose->sets() - 1) * $dose->restSeconds();
    }

    /**
     * In a hunt those beyond the number of servers wait for one to be free: movers − servers at any time.
     *
     * @return array<int, float> player → share of the time
     */
    private static function idleShares(Drill $drill, Stationing $stationing): array
    {
        $shares = [];
        $servers = $drill->organisation->playerServers;
        foreach ($drill->organisation->pattern === Pattern::Hunt && $servers > 0 ? $stationing->groups : [] as $group) {
            $movers = count($group->servers) >= $servers ? count($group->workers) : $group->players() - $servers;
            foreach ($group->workers as $player) {
                $shares[$player->id] = max(0.0, ($movers - $servers) / max(1, $movers));
            }
        }

        return $shares;
    }
}
