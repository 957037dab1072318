<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Rotation;

use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Rotation\Duties;
use FleetSparrow\Core\Rotation\PassingQueue;
use FleetSparrow\Core\Rotation\RoundRobin;
use FleetSparrow\Core\Rotation\StationRound;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RoundsTest extends TestCase
{
    /** FIDE Handbook C.05 Annex 1, Berger tables for six and eight players, from memory. */
    private const BERGER = [
        6 => [1 => '1-6 2-5 3-4', '6-4 5-3 1-2', '2-6 3-1 4-5', '6-5 1-4 2-3', '3-6 4-2 5-1'],
        8 => [
            1 => '1-8 2-7 3-6 4-5',
            '8-5 6-4 7-3 1-2',
            '2-8 3-1 4-7 5-6',
            '8-6 7-5 1-4 2-3',
            '3-8 4-2 5-1 6-7',
            '8-7 1-6 2-5 3-4',
            '4-8 5-3 6-2 7-1',
        ],
    ];

    /** @return iterable<string, array{int, int, string}> */
    public static function berger(): iterable
    {
        foreach (self::BERGER as $players => $rounds) {
            foreach ($rounds as $round => $pairs) {
                yield "{$players} players, round {$round}" => [$players, $round, $pairs];
            }
        }
    }

    #[DataProvider('berger')]
    public function test_agrees_with_the_berger_tables(int $players, int $round, string $pairs): void
    {
        self::assertSame(
            $pairs,
            implode(' ', array_map(fn (array $pair): string => "{$pair[0]}-{$pair[1]}", RoundRobin::round($players, $round))),
        );
    }

    public function test_everybody_meets_everybody_once(): void
    {
        foreach (range(2, 20) as $players) {
            $met = [];
            foreach (range(1, RoundRobin::rounds($players)) as $round) {
                $seen = [];
                foreach (RoundRobin::round($players, $round) as [$one, $other]) {
                    $met[] = min($one, $other).'-'.max($one, $other);
                    $seen = [...$seen, $one, $other];
                }
                self::assertCount($players + $players % 2, array_unique($seen));
            }
            $last = $players + $players % 2;
            self::assertCount(intdiv($last * ($last - 1), 2), array_unique($met));
            self::assertSame($met, array_unique($met));
        }
    }

    public function test_refuses_a_round_there_is_not(): void
    {
        foreach ([[1, 1], [6, 0], [6, 6], [5, 6]] as [$players, $round]) {
            try {
                RoundRobin::round($players, $round);
                self::fail("Round {$round} of {$players} was made.");
            } catch (InvalidPlan $refusal) {
                self::assertSame('rotation.round', $refusal->reason());
            }
        }
    }

    /** Every pass is played out one after the other: who is first where the ball arrives passes it on and walks after it. */
    #[DataProvider('queues')]
    public function test_turns_and_gaps_agree_with_a_pattern_played_out(int $players, int $positions, int $balls, float $passSeconds): void
    {
        $lines = array_fill(0, $positions, []);
        foreach (range(0, $players - 1) as $player) {
            $lines[$player % $positions][] = $player;
        }
        $events = array_map(
            fn (int $ball): array => [$ball * $passSeconds / $balls, intdiv($ball * $positions, $balls)],
            range(0, $balls - 1),
        );
        $turns = array_fill(0, $players, []);
        $end = 4000.0;
        while ($events[0][0] < $end) {
            [$at, $position] = array_shift($events);
            $player = array_shift($lines[$position]);
            $turns[$player][] = $at;
            $next = ($position + 1) % $positions;
            $lines[$next][] = $player;
            $events[] = [$at + $passSeconds, $next];
            usort($events, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        }
        $queue = PassingQueue::of($players, $positions, $balls, $passSeconds);
        $perMinute = array_sum(array_map(count(...), $turns)) / $players / ($end / 60);
        $gaps = [];
        foreach ($turns as $times) {
            foreach (array_slice($times, 1) as $i => $time) {
                $gaps[] = $time - $times[$i];
            }
        }

        self::assertEqualsWithDelta($queue->turnsPerMinute(), $perMinute, 0.02 * $perMinute);
        self::assertEqualsWithDelta($queue->meanGapSeconds(), array_sum($gaps) / count($gaps), 0.02 * $queue->meanGapSeconds());
    }

    /** @return iterable<string, array{int, int, int, float}> */
    public static function queues(): iterable
    {
        yield 'five at four corners, one ball' => [5, 4, 1, 4.0];
        yield 'six at four corners, two balls' => [6, 4, 2, 4.0];
        yield 'fourteen at four corners, one ball' => [14, 4, 1, 3.0];
        yield 'fourteen at four corners, two balls' => [14, 4, 2, 3.0];
        yield 'seven in two lines' => [7, 2, 1, 2.5];
    }

    public function test_doubling_the_balls_halves_the_gap_and_needs_a_player_more(): void
    {
        [$one, $two] = [PassingQueue::of(14, 4, 1, 3.0), PassingQueue::of(14, 4, 2, 3.0)];

        self::assertSame([42.0, 21.0], [$one->meanGapSeconds(), $two->meanGapSeconds()]);
        self::assertSame([5, 6], [$one->playersNeeded(), $two->playersNeeded()]);
    }

    public function test_duties_go_to_those_who_have_done_them_least(): void
    {
        self::assertSame([2, 4], Duties::next([1, 2, 3, 4], [1 => 1, 3 => 2], 2));
        self::assertSame([2, 1], Duties::next([1, 2], [1 => 1], 5));
        self::assertSame([], Duties::next([1, 2], [], 0));
        $done = array_fill_keys([1, 2, 3, 4, 5], 0);
        for ($session = 0; $session < 10; $session++) {
            foreach (Duties::next(array_keys($done), $done, 2) as $player) {
                $done[$player]++;
            }
        }
        self::assertSame(array_fill_keys([1, 2, 3, 4, 5], 4), $done);
    }

    public function test_every_group_is_at_every_station_once(): void
    {
        foreach (range(1, 8) as $stations) {
            foreach (range(0, $stations - 1) as $station) {
                $groups = array_map(fn (int $turn): int => StationRound::stationOf($station, $turn, $stations), range(0, $stations - 1));
                self::assertEqualsCanonicalizing(range(0, $stations - 1), $groups);
            }
            foreach (range(0, $stations - 1) as $turn) {
                self::assertCount(
                    $stations,
                    array_unique(
                        array_map(fn (int $station): int => StationRound::stationOf($station, $turn, $stations), range(0, $stations - 1)),
                    ),
                );
            }
        }
        self::assertSame([30.0, 190.0], [StationRound::seconds(1, 30.0, 10.0), StationRound::seconds(5, 30.0, 10.0)]);
    }
}
