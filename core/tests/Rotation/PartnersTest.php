<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Rotation;

use FleetSparrow\Core\Rotation\Meetings;
use FleetSparrow\Core\Rotation\Partners;
use FleetSparrow\Core\Rotation\PerfectMatching;
use FleetSparrow\Core\Rotation\SmallGroups;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Who is with whom, held against counting everything out, and against a matching written apart. */
final class PartnersTest extends TestCase
{
    public function test_a_meeting_half_fades_in_six_sessions(): void
    {
        $meetings = Meetings::of([6 => [[1, 2]], 12 => [[1, 2], [1, 2, 3]]]);

        self::assertSame(
            [1.0, 1.0, 0.25, 0.0],
            [$meetings->weight(1, 2), $meetings->weight(2, 1), $meetings->weight(2, 3), $meetings->weight(3, 4)],
        );
        self::assertSame([0.25, 0.0], [$meetings->threeWeight(3), $meetings->threeWeight(4)]);
    }

    public function test_up_to_three_are_one_group(): void
    {
        self::assertSame([], Partners::of([], Meetings::of()));
        self::assertSame([[1]], Partners::of([1], Meetings::of()));
        self::assertSame([[1, 2, 3]], Partners::of([1, 2, 3], Meetings::of()));
        self::assertSame([[1, 4], [2, 3]], Partners::of([1, 2, 3, 4], Meetings::of()));
    }

    /** @return array<string, array{int}> */
    public static function evenSquads(): array
    {
        return ['four' => [4], 'ten' => [10], 'fourteen' => [14], 'twenty' => [20]];
    }

    #[DataProvider('evenSquads')]
    public function test_with_everyone_there_everybody_meets_everybody_before_anybody_repeats(int $players): void
    {
        $ids = self::ids($players);
        $meetings = Meetings::of();
        for ($round = 1; $round < $players; $round++) {
            $pairs = Partners::of($ids, $meetings);
            self::assertSame(0.0, self::cost($pairs, $meetings), "Round {$round}.");
            foreach ($pairs as $pair) {
                $meetings->add($pair, 0);
            }
        }
        // Once round, and the next is a repeat for all.
        self::assertSame((float) ($players / 2), self::cost(Partners::of($ids, $meetings), $meetings));
    }

    /** @return iterable<string, array{int}> */
    public static function sizes(): iterable
    {
        foreach (range(4, 10) as $players) {
            yield "{$players} players" => [$players];
        }
    }

    #[DataProvider('sizes')]
    public function test_costs_as_little_as_the_best_of_all_groupings(int $players): void
    {
        $chance = new Randomizer(new Mt19937(100 + $players));
        for ($case = 0; $case < 12; $case++) {
            $ids = self::ids($players);
            $past = [];
            foreach (range(1, $chance->getInt(1, 9)) as $ago) {
                $past[$ago] = array_chunk($chance->shuffleArray($ids), $chance->getInt(2, 3));
            }
            $meetings = Meetings::of($past);
            $least = min(
                array_map(
                    fn (array $groups): float => self::cost($groups, $meetings),
                    iterator_to_array(self::groupings($ids, $players % 2 === 1), false),
                ),
            );

            self::assertEqualsWithDelta($least, self::cost(Partners::of($ids, $meetings), $meetings), 1e-9);
        }
    }

    public function test_twenty_players_repeat_only_where_no_round_without_a_repeat_exists(): void
    {
        foreach (range(1, 6) as $seed) {
            $chance = new Randomizer(new Mt19937($seed));
            $sessions = [];
            $rounds = ['clean' => 0, 'forced' => 0];
            for ($round = 0; $round < 30; $round++) {
                $present = array_values(array_filter(self::ids(20), fn (): bool => $chance->getInt(1, 10) > 2));
                $present = count($present) % 2 === 0 ? $present : array_slice($present, 1);
                $meetings = Meetings::of($sessions);
                $groups = Partners::of($present, $meetings);
                self::assertEqualsCanonicalizing($present, array_merge(...$groups));
                $repeats = count(array_filter($groups, fn (array $pair): bool => $meetings->weight($pair[0], $pair[1]) > 0.0));
                $isPossible = self::canAllPair($present, $meetings);
                self::assertSame($isPossible, $repeats === 0, "Seed {$seed}, round {$round}.");
                $rounds[$isPossible ? 'clean' : 'forced']++;
                $sessions = array_combine(range(1, count($sessions) + 1), [$groups, ...array_values($sessions)]);
            }
            // The season is long enough to see both.
            self::assertGreaterThanOrEqual(12, $rounds['clean']);
            self::assertGreaterThan(0, $rounds['forced']);
        }
    }

    public function test_the_three_is_shared_out_evenly(): void
    {
        $sessions = [];
        $threes = array_fill_keys(self::ids(9), 0);
        for ($round = 0; $round < 12; $round++) {
            $groups = Partners::of(self::ids(9), Meetings::of($sessions));
            foreach ($groups as $group) {
                foreach (count($group) === 3 ? $group : [] as $player) {
                    $threes[$player]++;
                }
            }
            $sessions = array_combine(range(1, count($sessions) + 1), [$groups, ...array_values($sessions)]);
        }

        // 12 threes of 3 over 9 players are 4 each.
        self::assertSame(36, array_sum($threes));
        self::assertLessThanOrEqual(2, max($threes) - min($threes));
    }

    public function test_the_largest_matching_is_as_large_as_counting_finds(): void
    {
        $chance = new Randomizer(new Mt19937(7));
        for ($case = 0; $case < 200; $case++) {
            $n = $chance->getInt(1, 9);
            $edges = [];
            foreach (range(0, $n - 1) as $i) {
                for ($j = $i + 1; $j < $n; $j++) {
                    if ($chance->getInt(1, 10) <= 4) {
                        $edges[] = [$i, $j];
                    }
                }
            }
            $neighbours = array_fill(0, $n, []);
            foreach ($edges as [$i, $j]) {
                $neighbours[$i][] = $j;
                $neighbours[$j][] = $i;
            }
            $mates = PerfectMatching::largest($neighbours);
            foreach ($mates as $one => $other) {
                self::assertTrue($other === -1 || ($mates[$other] === $one && in_array($other, $neighbours[$one], true)));
            }
            self::assertSame(self::mostEdges($edges, []), count(array_filter($mates, fn (int $mate): bool => $mate !== -1)) / 2);
        }
    }

    public function test_no_two_in_small_groups_could_change_places_for_less(): void
    {
        $chance = new Randomizer(new Mt19937(11));
        for ($case = 0; $case < 40; $case++) {
            $ids = self::ids($chance->getInt(6, 18));
            $past = [];
            foreach (range(1, $chance->getInt(1, 8)) as $ago) {
                $past[$ago] = array_chunk($chance->shuffleArray($ids), $chance->getInt(2, 5));
            }
            $meetings = Meetings::of($past);
            $groups = SmallGroups::of($ids, $chance->getInt(3, 5), $meetings);
            self::assertEqualsCanonicalizing($ids, array_merge(...$groups));
            $cost = fn (array $groups): float => array_sum(array_map($meetings->cost(...), $groups));
            foreach ($groups as $i => $group) {
                foreach (array_keys($group) as $a) {
                    foreach (array_slice($groups, $i + 1, null, true) as $j => $others) {
                        foreach (array_keys($others) as $b) {
                            $changed = $groups;
                            [$changed[$i][$a], $changed[$j][$b]] = [$groups[$j][$b], $groups[$i][$a]];
                            self::assertGreaterThanOrEqual($cost($groups) - 1e-9, $cost($changed));
                        }
                    }
                }
            }
        }
    }

    public function test_weights_follow_what_is_added(): void
    {
        $chance = new Randomizer(new Mt19937(12));
        $ids = self::ids(9);
        $kept = Meetings::of([2 => [[1, 2], [3, 4, 5]]]);
        $all = [2 => [[1, 2], [3, 4, 5]], 0 => []];
        self::assertSame(INF, $kept->weights($ids)[4][4]);
        for ($round = 0; $round < 20; $round++) {
            $group = array_slice($chance->shuffleArray($ids), 0, $chance->getInt(2, 4));
            $kept->add($group, 0);
            $all[0][] = $group;

            // Kept up with one by one, or read at once: the same, and for part of the players too.
            self::assertEqualsWithDelta(Meetings::of($all)->weights($ids), $kept->weights($ids), 1e-12);
            self::assertEqualsWithDelta(Meetings::of($all)->weights(array_slice($ids, 3)), $kept->weights(array_slice($ids, 3)), 1e-12);
        }
    }

    public function test_small_groups_are_even_and_mix_those_who_have_not_met(): void
    {
        self::assertSame([5, 5, 4], array_map(count(...), SmallGroups::of(self::ids(14), 5, Meetings::of())));
        self::assertSame([[1, 2, 3]], SmallGroups::of(self::ids(3), 3, Meetings::of()));
        // Nine who were in rows can be in columns: no two meet again.
        $rows = [[1, 2, 3], [4, 5, 6], [7, 8, 9]];
        $meetings = Meetings::of([1 => $rows]);
        self::assertSame(0.0, array_sum(array_map($meetings->cost(...), SmallGroups::of(self::ids(9), 3, $meetings))));
    }

    /** @return list<int> */
    private static function ids(int $count): array
    {
        return range(1, $count);
    }

    /** @param  list<list<int>>  $groups */
    private static function cost(array $groups, Meetings $meetings): float
    {
        $cost = 0.0;
        foreach ($groups as $group) {
            $cost += $meetings->cost($group);
            foreach (count($group) === 3 ? $group : [] as $player) {
                $cost += $meetings->threeWeight($player);
            }
        }

        return $cost;
    }

    /**
     * Every way to make pairs, and one three of an odd number.
     *
     * @param  list<int>  $left
     * @return iterable<list<list<int>>>
     */
    private static function groupings(array $left, bool $withThree): iterable
    {
        if ($left === []) {
            yield [];
        }
        $first = array_shift($left);
        foreach ($left as $i => $second) {
            $others = array_values(array_diff($left, [$second]));
            foreach (! $withThree || count($others) > 0 ? self::groupings($others, $withThree) : [] as $rest) {
                yield [[$first, $second], ...$rest];
            }
            foreach ($withThree ? array_slice($left, $i + 1) : [] as $third) {
                foreach (self::groupings(array_values(array_diff($others, [$third])), false) as $rest) {
                    yield [[$first, $second, $third], ...$rest];
                }
            }
        }
    }

    /**
     * Whether everybody can be with somebody new: whoever has the fewest to choose from chooses first, and every choice is tried.
     *
     * @param  list<int>  $players
     */
    private static function canAllPair(array $players, Meetings $meetings): bool
    {
        if ($players === []) {
            return true;
        }
        $fewest = null;
        foreach ($players as $one) {
            $new = array_values(
                array_filter($players, fn (int $other): bool => $other !== $one && $meetings->weight($one, $other) === 0.0),
            );
            if ($fewest === null || count($new) < count($fewest[1])) {
                $fewest = [$one, $new];
            }
        }
        foreach ($fewest[1] as $other) {
            if (self::canAllPair(array_values(array_diff($players, [$fewest[0], $other])), $meetings)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<array{int, int}>  $edges
     * @param  list<int>  $taken
     */
    private static function mostEdges(array $edges, array $taken): int
    {
        if ($edges === []) {
            return 0;
        }
        [$one, $other] = array_shift($edges);
        $without = self::mostEdges($edges, $taken);

        return in_array($one, $taken, true) || in_array($other, $taken, true)
            ? $without
            : max($without, 1 + self::mostEdges($edges, [...$taken, $one, $other]));
    }
}
