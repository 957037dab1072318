<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Organisation;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\GoTables;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Organisation\Way\Game;
use FleetSparrow\Core\Organisation\Way\Hunt;
use FleetSparrow\Core\Organisation\Way\InTurns;
use FleetSparrow\Core\Organisation\Way\PassAndFollow;
use FleetSparrow\Core\Organisation\Way\QueueToFinish;
use FleetSparrow\Core\Organisation\Way\SharedBox;
use FleetSparrow\Core\Organisation\Way\Together;
use FleetSparrow\Core\Organisation\WorkingWay;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Record\OwedSets;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Roster;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Timeline\Spell;
use FleetSparrow\Core\Timeline\WorkSpells;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each way of working together against its example, reckoned by hand, and all of them against laws for 1 to 20 people. */
final class WaysTest extends TestCase
{
    public function test_fourteen_with_a_ball_each(): void
    {
        // 2 × 30 s with 20 s between: 30 + 20 + 30 = 80 s; each 60 s of ball, nobody waits.
        $pattern = new GoPattern(['alternating'], 2, 20.0, 30.0, owed: OwedSets::Every);
        $spells = self::spells(InTurns::alone(), array_fill(0, 14, 1), $pattern);
        self::assertSame(80.0, self::seconds($spells));
        self::assertEquals(array_fill(1, 14, new PlayerTime(60.0, 0.0, 0.0, 0.0)), self::times($spells, 14));
        self::assertSame(14.0, self::ballShares($spells[0]));
    }

    public function test_two_and_three_who_take_turns(): void
    {
        // A B A B of 45 s and three swaps of 3 s: 189 s. Each 90 s of ball; a partner's go between is rest, 45 s; the go before the
        // first, or after the last, and the swaps are waiting: 45 + 9 = 54 s.
        $pattern = new GoPattern(['both'], 2, 30.0, 45.0, owed: OwedSets::Every);
        $two = self::spells(InTurns::alone(), [2], $pattern);
        self::assertSame(189.0, self::seconds($two));
        self::assertEqualsWithDelta([90.0, 0.0, 54.0], self::figures(self::times($two, 2)[1]), 1e-9);
        self::assertEqualsWithDelta([90.0, 0.0, 54.0], self::figures(self::times($two, 2)[2]), 1e-9);
        self::assertSame(1.0, self::ballShares($two[0]));
        // Six goes and five swaps: 285 s; 90 of ball, 45 of rest, so 150 of waiting.
        $three = self::spells(InTurns::alone(), [3], $pattern);
        self::assertSame(285.0, self::seconds($three));
        self::assertEqualsWithDelta([90.0, 0.0, 150.0], self::figures(self::times($three, 3)[2]), 1e-9);
    }

    public function test_a_pair_that_serves_each_other(): void
    {
        // Four goes each of 45 s: 8 × 45 + 7 × 3 = 381 s; 180 of ball, 180 of serving, 21 of changing over.
        $pair = self::spells(InTurns::served(1, 1), [2], new GoPattern(['R', 'L'], 2, 30.0, 45.0, owed: OwedSets::Every));
        self::assertSame(381.0, self::seconds($pair));
        self::assertEqualsWithDelta([180.0, 180.0, 21.0], self::figures(self::times($pair, 2)[1]), 1e-9);
        $work = array_values(array_filter($pair, fn (Spell $spell): bool => $spell->owed !== []));
        self::assertSame(['R', 'R', 'R', 'R', 'L', 'L', 'L', 'L'], array_map(fn (Spell $spell): ?string => $spell->side, $work));
    }

    public function test_who_only_serves_and_who_is_served_by_a_helper(): void
    {
        $pattern = new GoPattern(['both'], 2, 30.0, 45.0, owed: OwedSets::Every);
        $spells = WorkSpells::of(
            new GoTables(InTurns::served(1, 1), $pattern),
            [
                SeatedCrew::of(new Station([self::player(1)], [self::player(2)])),
                SeatedCrew::of(new Station([self::player(3)], [], true)),
            ],
            [4],
            $pattern->goSeconds,
            [],
        );
        // Two goes of 45 s with 30 s of rest; server and who counts are busy while it is worked.
        self::assertSame(120.0, self::seconds($spells));
        $times = self::times($spells, 4);
        self::assertEquals(
            [[90.0, 0.0, 0.0], [0.0, 90.0, 0.0], [90.0, 0.0, 0.0], [0.0, 90.0, 0.0]],
            array_map(self::figures(...), array_values($times)),
        );
    }

    public function test_two_with_one_pass_between_them(): void
    {
        // 2 s from pass to pass, 60 s: 30 passes, so 15 each: a rep of one's own every 4 s.
        $way = new Together;
        self::assertSame(15.0, 60.0 / $way->secondsPerRep(new Crew(2), 2.0));
        $spells = self::spells($way, [2], new GoPattern(['both'], 1, 0.0, 60.0, owed: OwedSets::Every));
        self::assertSame([30.0, 0.0, 0.0], self::figures(self::times($spells, 2)[1]));
    }

    public function test_eleven_in_lines_with_one_ball(): void
    {
        // 60 s, 3 s a pass: 20 passes, 20 ÷ 11 = 1.8 each; 60 ÷ 11 s with the ball, the rest waited for, 30 s at a time.
        $way = new PassAndFollow(1, 3.0);
        self::assertEqualsWithDelta(20 / 11, 60.0 / $way->secondsPerRep(new Crew(11), 3.0), 1e-9);
        $time = self::times(self::spells($way, [11], new GoPattern(['both'], 1, 0.0, 60.0, owed: OwedSets::Every)), 11)[1];
        self::assertEqualsWithDelta([60 / 11, 0.0, 600 / 11, 30.0], [...self::figures($time), $time->longestWaitSeconds], 1e-9);
    }

    public function test_a_queue_to_a_finish(): void
    {
        // ⌊(300 + 3) ÷ 15⌋ = 20 attacks of eleven: 1.8 each, one every 165 s = 2:45.
        $way = new QueueToFinish(1, 12.0, 3.0);
        self::assertSame(20, $way->attacks(300.0));
        self::assertSame([165.0, 1], [$way->secondsPerRep(new Crew(11), 12.0), $way->balls(new Crew(11))]);
        $time = self::times(self::spells($way, [11], new GoPattern(['both'], 1, 0.0, 300.0, owed: OwedSets::Every)), 11)[1];
        self::assertEqualsWithDelta(300 * 12 / 15 / 11, $time->ballSeconds, 1e-9);
        self::assertEqualsWithDelta(153.0, $time->longestWaitSeconds, 1e-9);
    }

    public function test_goal_changes_on_the_fly_and_rests_lie_between_sets_alone(): void
    {
        $goes = (new Game(2, keeperSeconds: 60.0))->goes(new Crew(7), new GoPattern(['both'], 2, 30.0, 180.0));
        self::assertSame([0.0, 0.0, 0.0, 30.0, 0.0, 0.0], array_map(fn (Go $go): float => $go->gapSeconds, $goes));
        self::assertEqualsWithDelta(2.0, array_sum(array_map(fn (Go $go): float => $go->lasts, $goes)), 1e-9);
    }

    public function test_who_has_no_rest_to_take_waits(): void
    {
        [$go] = InTurns::alone()->goes(new Crew(3), new GoPattern(['both'], 1, 0.0, 30.0));
        self::assertSame([Role::Works, Role::Waits, Role::Waits], array_map(fn (Seat $seat): Role => $seat->role, $go->seats));
    }

    public function test_a_hunt(): void
    {
        // Fourteen: seven serve, seven move, at each half the others; nobody waits.
        $pattern = new GoPattern(['both'], 1, 30.0, 60.0, owed: OwedSets::Every);
        foreach (self::times(self::spells(new Hunt, [14], $pattern), 14) as $time) {
            self::assertSame([30.0, 30.0, 0.0], self::figures($time));
        }
        // Both halves are one go: everybody has moved after the second, and owes a number then.
        self::assertSame([[], [0, 1, 2, 3]], array_map(fn (Go $go): array => $go->owed, (new Hunt)->goes(new Crew(4), $pattern)));
        // Three servers of fourteen: 8 of the 11 movers wait at any time.
        $spell = self::spells(new Hunt(3), [14], $pattern)[0];
        $movers = array_filter($spell->seats, fn (Seat $seat): bool => $seat->role === Role::Works);
        self::assertCount(11, $movers);
        self::assertEqualsWithDelta(8.0, array_sum(array_map(fn (Seat $seat): float => $seat->wait, $movers)), 1e-9);
    }

    public function test_a_game_of_eleven(): void
    {
        // 900 s × 1 ÷ 11 × 0.6 = 49 s with the ball, and as many contacts.
        $way = new Game;
        $time = self::times(self::spells($way, [11], new GoPattern(['both'], 1, 0.0, 900.0, owed: OwedSets::Every)), 11)[1];
        self::assertEqualsWithDelta(49.0909, $time->ballSeconds, 1e-4);
        self::assertEqualsWithDelta(49.0909, 900.0 / $way->secondsPerRep(new Crew(11), 2.0), 1e-4);
        // Two in goal have half a share each: 0.6 ÷ (9 + 1).
        self::assertEqualsWithDelta(0.06, (new Game(2))->fieldShare(new Crew(11)), 1e-9);
    }

    public function test_the_goal_changes_every_so_many_minutes_and_goes_on_through_the_sets(): void
    {
        // Seven, two in goal, eight minutes in two sets of four, a change every three: three and one minute a set.
        $way = new Game(2, keeperSeconds: 180.0);
        $spells = self::spells($way, [7], new GoPattern(['both'], 2, 30.0, 240.0, owed: OwedSets::Every));
        $work = array_values(array_filter($spells, fn (Spell $spell): bool => $spell->kind === SegmentKind::Work));
        self::assertSame([180.0, 60.0, 180.0, 60.0], array_map(fn (Spell $spell): float => $spell->seconds, $work));
        $inGoal = fn (Spell $spell): array => array_keys(
            array_filter($spell->seats, fn (Seat $seat): bool => $seat->role === Role::KeepsGoal),
        );
        self::assertSame([[1, 2], [3, 4], [5, 6], [1, 7]], array_map($inGoal, $work));
        self::assertSame([0, 7, 0, 7], array_map(fn (Spell $spell): int => count($spell->owed), $work));
        // Share of a field player 0.6 ÷ (5 + 1), of a keeper half of it; the ball is in play for 0.6 of the time.
        $times = self::times($spells, 7);
        self::assertEqualsWithDelta(180.0 * 0.05 + 60.0 * 0.1 + 180.0 * 0.1 + 60.0 * 0.05, $times[1]->ballSeconds, 1e-9);
        self::assertEqualsWithDelta(60.0 * 0.05 + 420.0 * 0.1, $times[3]->ballSeconds, 1e-9);
        self::assertEqualsWithDelta(0.6 * 480.0, array_sum(array_map(fn (PlayerTime $time): float => $time->ballSeconds, $times)), 1e-9);
        // A set shorter than that has one pair in goal, and without minutes it is the same all along.
        $short = self::spells($way, [7], new GoPattern(['both'], 2, 30.0, 120.0));
        self::assertSame([[1, 2], [], [3, 4]], array_map($inGoal, $short));
        self::assertSame([[1, 2], [], [1, 2]], array_map($inGoal, self::spells(new Game(2), [7], new GoPattern(['both'], 2, 30.0, 240.0))));
    }

    public function test_who_keeps_goal_is_not_in_the_queue(): void
    {
        // Seven, one in goal: 300 s of attacks of 12 s and 3 s between are 20, and each of six has 20 ÷ 6 turns.
        $way = new QueueToFinish(1, 12.0, 3.0, keepers: 1);
        self::assertEqualsWithDelta(300.0 / (20.0 / 6.0), $way->secondsPerRep(new Crew(7), 12.0, 300.0), 1e-9);
        $seats = $way->goes(new Crew(7), new GoPattern(['both'], 1, 0.0, 300.0))[0]->seats;
        self::assertSame([Role::KeepsGoal, 0.0, 0.0], [$seats[0]->role, $seats[0]->ball, $seats[0]->waiting]);
        self::assertEqualsWithDelta([0.8 / 6.0, 1.0 - 0.8 / 6.0], [$seats[1]->ball, $seats[1]->wait], 1e-9);
        // One alone shoots at an empty goal.
        self::assertSame(Role::Works, $way->goes(new Crew(1), new GoPattern(['both'], 1, 0.0, 300.0))[0]->seats[0]->role);
    }

    public function test_an_odd_one_makes_the_others_begin_again(): void
    {
        // A three and a pair: three goes a set; one of the pair, another each set, begins again in the third: it counts, nobody owes it.
        $spells = self::spells(InTurns::alone(), [3, 2], new GoPattern(['both'], 2, 0.0, 30.0, owed: OwedSets::Every));
        $work = array_values(array_filter($spells, fn (Spell $spell): bool => $spell->owed !== []));
        self::assertSame([[1, 4], [2, 5], [3], [1, 4], [2, 5], [3]], array_map(fn (Spell $spell): array => $spell->owed, $work));
        self::assertTrue($work[2]->seats[4]->isExtra);
        self::assertSame(Role::Works, $work[2]->seats[4]->role);
        // Where the work ends a go it is the same, and who is alone at a place rests.
        $counted = WorkSpells::of(
            new GoTables(InTurns::alone(), new GoPattern(['both'], 2, 0.0, 30.0, owed: OwedSets::Every)),
            [self::seated(3, 1), self::seated(2, 4), self::seated(1, 6)],
            [],
            30.0,
            array_fill(1, 6, 15.0),
        );
        $last = $counted[count($counted) - 1];
        self::assertSame([Role::Works, true, 0.5], [$last->seats[5]->role, $last->seats[5]->isExtra, $last->seats[5]->ball]);
        self::assertSame([Role::Rests, 0.0], [$last->seats[6]->role, $last->seats[6]->waiting]);
    }

    public function test_who_is_done_early_waits(): void
    {
        $spells = WorkSpells::of(
            new GoTables(InTurns::alone(), new GoPattern(['both'], 1, 0.0, 60.0, owed: OwedSets::Every)),
            [self::seated(1, 1), self::seated(1, 2)],
            [],
            60.0,
            [1 => 60.0, 2 => 45.0],
        );
        self::assertEqualsWithDelta([45.0, 0.0, 15.0], self::figures(Roster::of($spells, [1, 2])[2]), 1e-9);
    }

    public function test_who_serves_serves_for_as_long_as_the_slowest_works(): void
    {
        // The go of each pair lasts 60 s, as the slowest needs; 2 works for half of theirs and waits for the rest of it.
        $spells = WorkSpells::of(
            new GoTables(InTurns::served(1, 1), new GoPattern(['both'], 1, 0.0, 45.0)),
            [self::seated(2, 1)],
            [],
            60.0,
            [1 => 60.0, 2 => 30.0],
        );
        $times = Roster::of($spells, [1, 2]);
        self::assertEqualsWithDelta([[60.0, 60.0, 3.0], [30.0, 60.0, 33.0]], [self::figures($times[1]), self::figures($times[2])], 1e-9);
    }

    public function test_a_set_too_short_for_an_attack_still_has_one(): void
    {
        self::assertSame(55.0, (new QueueToFinish(1, 12.0, 3.0))->secondsPerRep(new Crew(11), 12.0, 5.0));
        self::assertSame(165.0, (new QueueToFinish(1, 12.0, 3.0))->secondsPerRep(new Crew(11), 12.0, 15.0));
    }

    /** @return iterable<string, array{WorkingWay}> */
    public static function ways(): iterable
    {
        yield 'alone, or in turns' => [InTurns::alone()];
        yield 'worker and server' => [InTurns::served(1, 1)];
        yield 'two at once, two who serve' => [InTurns::served(2, 2)];
        yield 'one box' => [new SharedBox];
        yield 'together' => [new Together];
        yield 'pass and follow' => [new PassAndFollow(2, 3.0)];
        yield 'queue to a finish' => [new QueueToFinish(2, 10.0, 4.0)];
        yield 'hunt' => [new Hunt];
        yield 'hunt for three' => [new Hunt(3)];
        yield 'game' => [new Game(2)];
        yield 'game with a change of goal' => [new Game(2, keeperSeconds: 20.0)];
        yield 'queue with a keeper' => [new QueueToFinish(2, 10.0, 4.0, keepers: 1, keeperSeconds: 15.0)];
    }

    #[DataProvider('ways')]
    public function test_laws_for_one_to_twenty_people(WorkingWay $way): void
    {
        $patterns = [
            new GoPattern(['R', 'L'], 2, 20.0, 30.0, owed: OwedSets::Every),
            new GoPattern(['alternating'], 3, 90.0, 20.0, owed: OwedSets::Every),
        ];
        for ($people = 1; $people <= 20; $people++) {
            foreach ($patterns as $pattern) {
                $spells = self::spells($way, [$people], $pattern);
                $crew = new Crew($people);
                foreach ($spells as $spell) {
                    // Everybody is somewhere, once; no more balls are had than there are.
                    self::assertCount($people, $spell->seats);
                    self::assertLessThanOrEqual($way->balls($crew) + 1e-9, self::ballShares($spell));
                    foreach ($spell->seats as $seat) {
                        self::assertGreaterThanOrEqual(0.0, min($seat->ball, $seat->wait, $seat->waiting, $seat->serving));
                        self::assertLessThanOrEqual(1.0 + 1e-9, $seat->ball + $seat->waiting + $seat->serving);
                    }
                }
                // Each owes a number for each set on each side, once.
                $owed = array_merge([], ...array_map(fn (Spell $spell): array => $spell->owed, $spells));
                self::assertSame(array_fill(1, $people, count($pattern->sides) * $pattern->sets), self::counted($owed));
                // Ball, service, waiting and rest are the whole of it; alike players have alike times, but for who begins.
                foreach (self::times($spells, $people) as $time) {
                    self::assertLessThanOrEqual(self::seconds($spells) + 1e-6, array_sum(self::figures($time)));
                    self::assertGreaterThan(0.0, $time->ballSeconds);
                }
                // Everybody's lane is somewhere, once.
                $lanes = array_merge(...$way->lanes($crew));
                sort($lanes);
                self::assertSame(range(0, $people - 1), $lanes);
            }
        }
    }

    /**
     * @param  list<int>  $sizes  people of each place
     * @return list<Spell>
     */
    private static function spells(WorkingWay $way, array $sizes, GoPattern $pattern): array
    {
        [$places, $next] = [[], 1];
        foreach ($sizes as $size) {
            $places[] = self::seated($size, $next);
            $next += $size;
        }

        return WorkSpells::of(new GoTables($way, $pattern), $places, [], $pattern->goSeconds, []);
    }

    private static function seated(int $size, int $first): SeatedCrew
    {
        return SeatedCrew::of(new Station(array_map(self::player(...), range($first, $first + $size - 1))));
    }

    private static function player(int $id): PlanPlayer
    {
        return new PlanPlayer($id, StrongFoot::Right);
    }

    /** @param  list<Spell>  $spells */
    private static function seconds(array $spells): float
    {
        return array_sum(array_map(fn (Spell $spell): float => $spell->seconds, $spells));
    }

    private static function ballShares(Spell $spell): float
    {
        return array_sum(array_map(fn (Seat $seat): float => $seat->ball, $spell->seats));
    }

    /**
     * @param  list<Spell>  $spells
     * @return array<int, PlayerTime>
     */
    private static function times(array $spells, int $people): array
    {
        return Roster::of($spells, range(1, $people));
    }

    /** @return array{float, float, float} ball, serving, waiting */
    private static function figures(PlayerTime $time): array
    {
        return [$time->ballSeconds, $time->servingSeconds, $time->waitingSeconds];
    }

    /**
     * @param  list<int>  $players
     * @return array<int, int>
     */
    private static function counted(array $players): array
    {
        $counts = array_count_values($players);
        ksort($counts);

        return $counts;
    }
}
