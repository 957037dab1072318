<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

/**
 * Groups going round stations: every group visits every station once, one station on at each move.
 *
 * Example: `StationRound::seconds(5, 30.0, 10.0)` is `190.0`.
 */
final class StationRound
{
    /** Clock of the whole round: stations × work, and a move between. */
    public static function seconds(int $stations, float $workSeconds, float $moveSeconds): float
    {
        return $stations * $workSeconds + max(0, $stations - 1) * $moveSeconds;
    }

    /** The station, from 0, that a group is at in a turn, both from 0. */
    public static function stationOf(int $group, int $turn, int $stations): int
    {
        return ($group + $turn) % $stations;
    }

    /** The turn, from 0, in which a group is at a station, both from 0. */
    public static function turnOf(int $group, int $station, int $stations): int
    {
        return ($station - $group + $stations) % $stations;
    }
}
