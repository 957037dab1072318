<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

/**
 * Puts names on the places of a table made for as many people, when others are there than were planned: whoever was together stays
 * together as far as the places allow. Repeated in the run kernel; golden/seating.json holds both to it.
 *
 * Example: `Seating::of([[7, 8], [9, 4]], [[1, 2, 3]], [7, 9, 4])` is `[1 => 9, 2 => 4, 3 => 7]`.
 */
final class Seating
{
    /**
     * @param  list<list<int>>  $before  players who were together
     * @param  list<list<int>>  $places  of the new table, as many as are present
     * @param  list<int>  $present  players, in the order in which newcomers are seated
     * @return array<int, int> place → player
     */
    public static function of(array $before, array $places, array $present): array
    {
        $open = $places;
        $seated = [];
        $left = self::stillThere($before, $present);
        // First those whose group is as large as a new one.
        foreach ($left as $i => $group) {
            foreach ($open as $at => $free) {
                if (count($free) === count($group)) {
                    foreach ($free as $k => $place) {
                        $seated[$place] = $group[$k];
                    }
                    unset($open[$at], $left[$i]);
                    break;
                }
            }
        }
        // Then the larger before the smaller, each where the least room is left over.
        uasort($left, static fn (array $a, array $b): int => count($b) <=> count($a));
        $pool = [];
        foreach ($left as $group) {
            $at = self::tightest($open, count($group));
            if ($at === null) {
                array_push($pool, ...$group);

                continue;
            }
            foreach ($group as $player) {
                $place = array_shift($open[$at]);
                $seated[$place ?? 0] = $player;
            }
        }
        // Whoever is left, and then who is new.
        $known = array_merge([], ...$before);
        array_push($pool, ...array_values(array_filter($present, static fn (int $one): bool => ! in_array($one, $known, true))));
        foreach (array_merge([], ...array_values($open)) as $i => $place) {
            $seated[$place] = $pool[$i];
        }
        ksort($seated);

        return $seated;
    }

    /**
     * @param  list<list<int>>  $groups
     * @param  list<int>  $present
     * @return array<int, non-empty-list<int>>
     */
    private static function stillThere(array $groups, array $present): array
    {
        $there = [];
        foreach ($groups as $i => $group) {
            $still = array_values(array_filter($group, static fn (int $one): bool => in_array($one, $present, true)));
            if ($still !== []) {
                $there[$i] = $still;
            }
        }

        return $there;
    }

    /**
     * @param  array<int, list<int>>  $open
     */
    private static function tightest(array $open, int $size): ?int
    {
        $best = null;
        foreach ($open as $at => $free) {
            if (count($free) >= $size && ($best === null || count($free) < count($open[$best]))) {
                $best = $at;
            }
        }

        return $best;
    }
}
