<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

/** Groups of three and more with the fewest repeats: each player goes where it costs least, then players change places while that helps. */
final class SmallGroups
{
    /**
     * @param  list<int>  $players
     * @param  int<1, max>  $size  the largest group; the players are shared out evenly over as few groups as hold them
     * @return list<list<int>>
     */
    public static function of(array $players, int $size, Meetings $meetings): array
    {
        $count = (int) ceil(count($players) / $size);
        if ($count <= 1) {
            return $players === [] ? [] : [$players];
        }
        // The first groups take the ones left over, so that sizes differ by one at most.
        $room = array_map(
            static fn (int $i): int => intdiv(count($players), $count) + ($i < count($players) % $count ? 1 : 0),
            range(0, $count - 1),
        );
        if ($meetings->isEmpty()) {
            return self::inOrder($players, $room);
        }
        $groups = array_fill(0, $count, []);
        foreach ($players as $player) {
            $best = null;
            foreach ($groups as $i => $group) {
                if (count($group) >= $room[$i]) {
                    continue;
                }
                $cost = [
                    array_sum(array_map(static fn (int $other): float => $meetings->weight($player, $other), $group)),
                    count($group),
                ];
                if ($best === null || $cost < $best[0]) {
                    $best = [$cost, $i];
                }
            }
            $groups[$best[1] ?? 0][] = $player;
        }

        return self::swapped($groups, $meetings);
    }

    /**
     * Where nobody has met, list order decides alone.
     *
     * @param  list<int>  $players
     * @param  list<int>  $sizes
     * @return list<list<int>>
     */
    private static function inOrder(array $players, array $sizes): array
    {
        $groups = [];
        $at = 0;
        foreach ($sizes as $size) {
            $groups[] = array_slice($players, $at, $size);
            $at += $size;
        }

        return $groups;
    }

    /**
     * @param  list<list<int>>  $groups
     * @return list<list<int>>
     */
    private static function swapped(array $groups, Meetings $meetings): array
    {
        $players = array_merge(...$groups);
        $places = array_flip($players);
        $weights = $meetings->weights($players);
        foreach (array_keys($players) as $i) {
            $weights[$i][$i] = 0.0;
        }
        $groups = array_map(
            static fn (array $group): array => array_map(static fn (int $player): int => $places[$player], $group),
            $groups,
        );
        // What everybody has met of every group; changing two places moves it by what the two were met.
        $met = array_map(
            static fn (array $row): array => array_map(
                static fn (array $group): float => array_sum(array_intersect_key($row, array_flip($group))),
                $groups,
            ),
            $weights,
        );
        do {
            $isBetter = false;
            foreach (self::places($groups) as [$i, $a, $j, $b]) {
                [$one, $other] = [$groups[$i][$a], $groups[$j][$b]];
                if ($met[$other][$i] + $met[$one][$j] - 2.0 * $weights[$one][$other] >= $met[$one][$i] + $met[$other][$j] - 1e-12) {
                    continue;
                }
                [$groups[$i][$a], $groups[$j][$b], $isBetter] = [$other, $one, true];
                foreach ($weights as $player => $row) {
                    $met[$player][$i] += $row[$other] - $row[$one];
                    $met[$player][$j] += $row[$one] - $row[$other];
                }
            }
        } while ($isBetter);

        return array_map(
            static fn (array $group): array => array_values(array_map(static fn (int $place): int => $players[$place], $group)),
            $groups,
        );
    }

    /**
     * @param  array<int, array<int, int>>  $groups
     * @return iterable<array{int, int, int, int}> group and place of one, group and place of the other
     */
    private static function places(array $groups): iterable
    {
        foreach ($groups as $i => $group) {
            foreach (array_keys($group) as $a) {
                for ($j = $i + 1; $j < count($groups); $j++) {
                    foreach (array_keys($groups[$j]) as $b) {
                        yield [$i, $a, $j, $b];
                    }
                }
            }
        }
    }
}
