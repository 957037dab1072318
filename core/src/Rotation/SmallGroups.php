<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

/** Groups of three and more with the fewest repeats: each player goes where it costs least, then players change places while that helps. */
final class SmallGroups
{
    /**
     * @param  list<string>  $players
     * @param  int<1, max>  $size  the largest group; the players are shared out evenly over as few groups as hold them
     * @return list<list<string>>
     */
    public static function of(array $players, int $size, Meetings $meetings): array
    {
        $count = (int) ceil(count($players) / $size);
        if ($count <= 1) {
            return $players === [] ? [] : [$players];
        }
        // The first groups take the ones left over, so that sizes differ by one at most.
        $room = array_map(static fn (int $i): int => intdiv(count($players), $count) + ($i < count($players) % $count ? 1 : 0), range(0, $count - 1));
        if ($meetings->isEmpty()) {
            return self::inOrder($players, $room);
        }
        $groups = array_fill(0, $count, []);
        foreach ($players as $player) {
            $best = null;
            foreach ($groups as $i => $group) {
                $cost = [array_sum(array_map(static fn (string $other): float => $meetings->weight($player, $other), $group)), count($group)];
                if (count($group) < $room[$i] && ($best === null || $cost < $best[0])) {
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
     * @param  list<string>  $players
     * @param  list<int>  $sizes
     * @return list<list<string>>
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
     * @param  list<list<string>>  $groups
     * @return list<list<string>>
     */
    private static function swapped(array $groups, Meetings $meetings): array
    {
        do {
            $isBetter = false;
            foreach (self::places($groups) as [$i, $a, $j, $b]) {
                [$one, $other] = [$groups[$i], $groups[$j]];
                [$one, $other] = [array_values(array_replace($one, [$a => $other[$b]])), array_values(array_replace($other, [$b => $one[$a]]))];
                if ($meetings->cost($one) + $meetings->cost($other) < $meetings->cost($groups[$i]) + $meetings->cost($groups[$j]) - 1e-12) {
                    [$groups[$i], $groups[$j], $isBetter] = [$one, $other, true];
                }
            }
        } while ($isBetter);

        return $groups;
    }

    /**
     * @param  list<list<string>>  $groups
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
