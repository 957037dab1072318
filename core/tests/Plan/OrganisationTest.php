<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Duty;
use FleetSparrow\Core\Organisation\DutyKind;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Organisation\Stationing;
use FleetSparrow\Core\Organisation\Ways;
use FleetSparrow\Core\Plan\Availability;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Rotation\Meetings;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Timeline\StationTurn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Who is where, who waits, and what one player more or fewer does. */
final class OrganisationTest extends TestCase
{
    use TestTrait;

    private const PAIR = ['workers' => 1, 'playerServers' => 1, 'service' => 'passed', 'manner' => 'firm'];

    /** @return iterable<string, array{int, int|null, int, int, int}> */
    public static function turns(): iterable
    {
        yield 'the rules\' own example: 14, seven stations of one and one' => [14, 7, 1, 1, 2];
        yield 'everybody at their own' => [14, 14, 1, 0, 1];
        yield '13 at three' => [13, 3, 1, 0, 5];
        yield 'four stations of one and one' => [14, 4, 1, 1, 4];
        yield 'as many as are needed' => [14, null, 1, 1, 2];
    }

    #[DataProvider('turns')]
    public function test_turns_follow_the_rule(int $players, ?int $stations, int $workers, int $servers, int $turns): void
    {
        $drill = self::drill(
            [
                'workers' => $workers,
                'playerServers' => $servers,
                'service' => $servers > 0 ? 'passed' : 'none',
                'manner' => $servers > 0 ? 'firm' : null,
            ],
        );

        $places = Stationing::of(self::players($players), $drill, $stations, 0, Meetings::of())->places();
        $way = Ways::of($drill, 1.0);
        self::assertSame($turns, max(array_map(fn (Station $at): int => $way->shifts(SeatedCrew::of($at)->crew), $places)));
    }

    public function test_a_queue_where_one_is_at_work_at_a_time(): void
    {
        // Six seconds and five to fetch the ball, for each of four.
        $drill = self::drill(['workers' => 4, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'rotate'], [
            'layout' => ['kind' => 'on-the-spot', 'apart' => ['value' => 2, 'unit' => 'm']],
        ]);

        self::assertEqualsWithDelta(44.0, Ways::of($drill, 6.0)->secondsPerRep(new Crew(4), 6.0), 1e-9);
    }

    public function test_everybody_has_one_place(): void
    {
        $this->forAll(
            Generators::choose(1, 40),
            Generators::choose(1, 12),
            Generators::choose(1, 4),
            Generators::choose(0, 3),
            Generators::elements(['own', 'together', 'hunt', 'take-turns', 'pass-and-follow']),
            Generators::choose(0, 2),
        )
            ->then(function (int $players, int $stations, int $workers, int $servers, string $pattern, int $helpers): void {
                $drill = self::drill(
                    [
                        'workers' => $workers,
                        'playerServers' => $servers,
                        'service' => $servers > 0 ? 'passed' : 'none',
                        'manner' => $servers > 0 ? 'firm' : null,
                        'pattern' => $pattern,
                    ],
                );
                $places = Stationing::of(self::players($players), $drill, $stations, $helpers, Meetings::of())->places();
                self::assertLessThanOrEqual($stations, count($places));
                $placed = array_merge(...array_map(fn (Station $at): array => SeatedCrew::of($at)->players, $places));
                self::assertEqualsCanonicalizing(range(1, $players), $placed);
            });
    }

    public function test_an_odd_number_makes_one_three_or_a_helper_takes_the_odd_one(): void
    {
        $sizes = fn (int $helpers): array => array_map(
            fn (Station $group): int => $group->players(),
            Stationing::of(self::players(9), self::drill(self::PAIR), null, $helpers, Meetings::of())->groups,
        );

        self::assertEqualsCanonicalizing([2, 2, 2, 3], $sizes(0));
        self::assertEqualsCanonicalizing([2, 2, 2, 2, 1], $sizes(1));
        $block = fn (int $helpers): BlockEvaluation => self::evaluate([self::block(self::PAIR)], 9, helpers: $helpers)->blocks[0];
        // The three swaps once more; with a helper it is the two turns of the pairs.
        self::assertSame([3, 2], [$block(0)->turns, $block(1)->turns]);
        // Of three one works and one serves: the third waits as long as they work, which is said once it is longer than both.
        self::assertSame([[], []], [$block(0)->warnings, $block(1)->warnings]);
    }

    public function test_a_three_is_one_too_many_for_a_pair_at_a_place_of_its_own(): void
    {
        $hasThree = fn (array $organisation, int $players, ?int $stations = null): bool => Stationing::of(
            self::players($players),
            self::drill($organisation),
            $stations,
            0,
            Meetings::of(),
        )->hasThree();

        self::assertTrue($hasThree(self::PAIR, 5));
        self::assertFalse($hasThree(self::PAIR, 4));
        // Where groups share a place, all there take turns.
        self::assertFalse($hasThree(self::PAIR, 5, stations: 1));
        self::assertFalse($hasThree(['workers' => 3, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'take-turns'], 3));
        self::assertFalse($hasThree(['playerServers' => 2] + self::PAIR, 3));
    }

    public function test_the_helper_takes_who_was_most_often_in_a_three(): void
    {
        $meetings = Meetings::of([1 => [[1, 4, 5]], 2 => [[4, 2, 3]]]);
        $groups = Stationing::of(self::players(5), self::drill(self::PAIR), null, 1, $meetings)->groups;
        $helped = array_values(array_filter($groups, static fn (Station $one): bool => $one->isHelped));

        self::assertSame([4], array_map(static fn (PlanPlayer $one): int => $one->id, $helped[0]->workers ?? []));
    }

    public function test_one_alone_who_needs_a_partner_is_told(): void
    {
        $alone = self::evaluate([self::block(self::PAIR)], 1)->blocks[0];

        self::assertSame(
            [['Somebody is alone here and has nobody to pass or serve.', 'helper']],
            array_map(fn (Warning $one): array => [$one->sentence, $one->cure?->kind->value], $alone->warnings),
        );
        self::assertSame([], self::evaluate([self::block(self::PAIR)], 1, helpers: 1)->blocks[0]->warnings);
        // Taking turns is possible alone.
        self::assertSame(
            [],
            self::evaluate(
                [self::block(['workers' => 2, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'take-turns'])],
                1,
            )->blocks[0]->warnings,
        );
    }

    public function test_pairs_change_from_block_to_block_and_follow_the_season(): void
    {
        $past = new SeasonPast([1 => [[1, 3], [2, 4]]]);
        $blocks = array_map(static fn (string $id): Block => self::block(self::PAIR, $id), ['a', 'b', 'c']);
        $plan = self::evaluate($blocks, 4, past: $past);
        $pairs = array_map(
            fn (BlockEvaluation $block): array => array_map(
                fn (Station $group): string => implode('-', array_map(fn (PlanPlayer $one): int => $one->id, $group->workers)),
                $block->groups,
            ),
            $plan->blocks,
        );

        // Today weighs more than last time.
        self::assertSame([['1-4', '2-3'], ['1-2', '3-4'], ['1-3', '2-4']], $pairs);
    }

    public function test_who_only_serves_serves_and_does_not_work(): void
    {
        $players = self::players(7);
        $players[0] = new PlanPlayer(1, StrongFoot::Right, today: Availability::ServesOnly);
        $block = self::evaluateFor([self::block(self::PAIR)], $players)->blocks[0];

        // Six workers make three pairs; the seventh serves one of them.
        self::assertSame([2, 3], [$block->turns, $block->stations]);
        self::assertSame(0.0, $block->touches[1]->contacts());
        self::assertSame(0.0, $block->times[1]->ballSeconds);
        self::assertGreaterThan(0.0, $block->times[1]->servingSeconds);
        self::assertEquals([new Duty(1, DutyKind::Server)], $block->duties);
        $worked = array_unique(array_merge(...array_map(fn (Segment $segment): array => $segment->working, $block->segments)));
        self::assertEqualsCanonicalizing([2, 3, 4, 5, 6, 7], $worked);
    }

    public function test_who_may_not_strike_or_head_does_not(): void
    {
        $shot = DrillFactory::fromFields(['slug' => 'shot', 'script' => 'a.lace/fwd!shot'] + Drills::fields());
        $header = DrillFactory::fromFields(['slug' => 'header', 'script' => '*throw -.head^!pass *catch'] + Drills::fields());
        foreach ([[Availability::NoStriking, $shot, $header], [Availability::NoHeading, $header, $shot]] as [$today, $barred, $open]) {
            self::assertSame(
                [false, true, true],
                [$today->mayWorkIn($barred), $today->mayWorkIn($open), $today->mayWorkIn(Drills::soleTaps())],
            );
        }
        self::assertFalse(Availability::ServesOnly->mayWorkIn(Drills::soleTaps()));
        $mayJoin = static fn (Availability $today): array => [
            $today->mayJoin(BlockKind::Drill, $header),
            $today->mayJoin(BlockKind::Drill, Drills::soleTaps()),
            $today->mayJoin(BlockKind::Game, null),
            $today->mayJoin(BlockKind::Water, null),
            $today->mayJoin(BlockKind::Talk, null),
        ];
        self::assertSame([true, true, true, true, true], $mayJoin(Availability::Everything));
        self::assertSame([false, true, true, true, true], $mayJoin(Availability::NoHeading));
        self::assertSame([false, false, false, true, true], $mayJoin(Availability::ServesOnly));
        $nobody = self::evaluateFor(
            [Block::ofDrill('a', $shot, $shot->doseFrom(null), Tempo::Steady, null)],
            [new PlanPlayer(1, StrongFoot::Right, today: Availability::NoStriking)],
        )->blocks[0];
        self::assertSame('Nobody who is here may work in this today.', $nobody->warnings[0]->sentence);
        self::assertSame(0.0, $nobody->partSeconds['work']);
    }

    public function test_three_fewer_or_one_more_is_planned_at_once(): void
    {
        $blocks = [self::block(self::PAIR, 'a'), self::block(['workers' => 1, 'playerServers' => 0, 'service' => 'none'], 'b')];
        $shape = fn (int $players): array => array_map(
            fn (BlockEvaluation $block): array => [
                $block->stations,
                $block->turns,
                count(array_unique(array_merge(...array_map(fn (Segment $segment): array => $segment->working, $block->segments)))),
            ],
            self::evaluate($blocks, $players)->blocks,
        );

        self::assertSame([[7, 2, 14], [14, 1, 14]], $shape(14));
        self::assertSame([[5, 3, 11], [11, 1, 11]], $shape(11));
        self::assertSame([[7, 3, 15], [15, 1, 15]], $shape(15));
    }

    public function test_a_players_time_is_ball_service_and_waiting(): void
    {
        // 14 at four places of one and one: seven pairs, so four at three of them and two at the last. Four have eight goes of 30 s and
        // seven changes of 3 s, 261 s: each works 60, serves whoever comes next 60, and waits or rests the rest, 141. The two begin
        // again, and work and serve twice as long.
        $block = self::evaluate([self::block(self::PAIR, 'a', 4)], 14)->blocks[0];

        self::assertSame([4, 261.0], [$block->turns, $block->partSeconds['work']]);
        $seen = array_count_values(array_map(
            fn (PlayerTime $time): string => "{$time->ballSeconds} {$time->servingSeconds} {$time->waitingSeconds}",
            $block->times,
        ));
        self::assertSame(['60 60 141' => 12, '120 120 21' => 2], $seen);
        // From serving to the next go, two goes and three changes.
        self::assertSame(69.0, $block->longestWaitSeconds());
    }

    public function test_a_passing_pattern_has_turns_and_gaps_and_needs_its_players(): void
    {
        $rectangle = fn (int $balls): array => [
            'layout' => [
                'kind' => 'passing-rectangle',
                'width' => ['value' => 10, 'unit' => 'yd'],
                'depth' => ['value' => 8, 'unit' => 'yd'],
                'order' => 0,
                'clockwise' => 0,
                'perCorner' => 1,
                'balls' => $balls,
            ],
            'script' => 'a.in!first a.in!pass',
            'secondsPerRep' => 3.0,
            'scoring' => null,
        ];
        $follow = ['workers' => 5, 'playerServers' => 0, 'service' => 'passed', 'manner' => 'firm', 'pattern' => 'pass-and-follow'];
        $block = fn (int $players, int $balls): BlockEvaluation => self::evaluate(
            [
                self::block(
                    $follow,
                    'a',
                    1,
                    $rectangle($balls),
                    ['kind' => 'timed', 'workSeconds' => 84, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'right'],
                ),
            ],
            $players,
        )->blocks[0];

        // 84 s, 14 players, one ball, 3 s: two turns of two touches each; two balls double it.
        self::assertEqualsWithDelta(4.0, $block(14, 1)->touches[1]->contacts(), 1e-9);
        self::assertEqualsWithDelta(8.0, $block(14, 2)->touches[1]->contacts(), 1e-9);
        self::assertEqualsWithDelta(6.0, $block(14, 1)->times[1]->ballSeconds, 1e-9);
        self::assertEqualsWithDelta(39.0, $block(14, 1)->times[1]->longestWaitSeconds, 1e-9);
        self::assertContains(
            '14 together with 1 ball: each has 1.4 turns a minute, one every 42 s on average.',
            $block(14, 1)->how,
        );
        self::assertSame([], array_filter($block(6, 2)->warnings, fn (Warning $one): bool => $one->code === 'queue'));
        self::assertSame(
            '5 players for 4 positions and 2 balls: a ball finds nobody, or a player meets their own pass. It needs 6.',
            $block(5, 2)->warnings[0]->sentence,
        );
        // With one station there is none to give up.
        self::assertNull($block(5, 2)->warnings[0]->cure);
    }

    public function test_in_a_hunt_those_beyond_the_servers_wait(): void
    {
        $hunt = ['workers' => 4, 'playerServers' => 3, 'service' => 'passed', 'manner' => 'firm', 'pattern' => 'hunt'];
        $times = self::evaluate(
            [
                self::block(
                    $hunt,
                    'a',
                    1,
                    ['scoring' => null],
                    ['kind' => 'timed', 'workSeconds' => 60, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'both'],
                ),
            ],
            7,
        )->blocks[0]->times;

        // Half the time each serves. Four movers, three servers: one in four of those who move waits at any time.
        self::assertSame([22.5, 30.0, 7.5], [$times[1]->ballSeconds, $times[1]->servingSeconds, $times[1]->waitingSeconds]);
    }

    public function test_a_coach_who_serves_is_at_one_station(): void
    {
        $coach = ['workers' => 1, 'playerServers' => 0, 'service' => 'rolled', 'manner' => 'soft', 'coachServes' => true];
        self::assertSame(
            [1, 3],
            [self::evaluate([self::block($coach)], 3)->blocks[0]->stations, self::evaluate([self::block($coach)], 3)->blocks[0]->turns],
        );
        self::assertSame(2, self::evaluate([self::block($coach)], 3, helpers: 1)->blocks[0]->stations);
        $three = self::evaluate([self::block($coach, 'a', 3)], 3)->blocks[0];
        self::assertSame(
            [['3 stations need a grown-up each to serve, and there is one.', 'Make it one station']],
            array_map(fn (Warning $one): array => [$one->sentence, $one->cure?->words], $three->warnings),
        );
    }

    public function test_who_keeps_goal_stands_first_in_their_order(): void
    {
        $ids = array_map(
            static fn (PlanPlayer $one): int => $one->id,
            (new Station(self::players(4)))->withFirst([4, 2])->workers,
        );

        self::assertSame([4, 2, 1, 3], $ids);
    }

    public function test_goalkeepers_go_round_over_the_season(): void
    {
        $game = ['workers' => 6, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'live', 'keepers' => 2];
        $plan = self::evaluate(
            [self::block($game, 'a'), self::block($game, 'b')],
            6,
            past: new SeasonPast(keeperTurns: [1 => 2, 2 => 1]),
        );

        self::assertSame(
            [[3, 4], [5, 6]],
            array_map(
                fn (BlockEvaluation $block): array => array_map(fn (Duty $duty): int => $duty->playerId, $block->duties),
                $plan->blocks,
            ),
        );
        self::assertSame(3, $plan->kit->bibs);
    }

    public function test_groups_go_round_stations_that_run_at_the_same_time(): void
    {
        $own = ['workers' => 1, 'playerServers' => 0, 'service' => 'none'];
        $at = fn (string $id, int $seconds, ?string $together): Block => self::block(
            $own,
            $id,
            null,
            ['scoring' => null],
            ['kind' => 'timed', 'workSeconds' => $seconds, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'both'],
            $together,
        );
        $plan = self::evaluate([$at('a', 30, 'corners'), $at('b', 45, 'corners'), $at('c', 30, 'corners')], 9);

        // A turn lasts 45 s, as the slowest; three turns and two moves of 15 s.
        self::assertSame([45.0, 45.0, 45.0], array_map(fn (BlockEvaluation $block): float => $block->partSeconds['work'], $plan->blocks));
        self::assertSame(
            [0.0, 15.0, 15.0],
            array_map(fn (BlockEvaluation $block): float => $block->partSeconds['changeOver'], $plan->blocks),
        );
        // Three groups of three, four markers a player: 36 at once, all laid before the start.
        self::assertSame([0.0, 0.0, 0.0], array_map(fn (BlockEvaluation $block): float => $block->partSeconds['setUp'], $plan->blocks));
        self::assertSame(36, array_sum($plan->kit->markersByColour));
        foreach ($plan->blocks as $block) {
            self::assertCount(9, $block->touches);
            self::assertEqualsWithDelta(
                $block->meanSeconds(),
                array_sum(array_map(fn (Segment $segment): float => $segment->seconds, $block->segments)),
                1e-9,
            );
            self::assertCount(1, array_filter($block->segments, fn (Segment $segment): bool => $segment->kind === SegmentKind::Work));
            foreach ($block->segments as $segment) {
                self::assertEqualsCanonicalizing(range(1, 9), array_keys($segment->seats), $segment->id);
            }
        }
        // Who is early begins again: nobody waits, and 30 s of taps become 45.
        foreach ($plan->blocks as $block) {
            self::assertSame([45.0, 0.0], [$block->atWork[1]->ballSeconds, $block->atWork[1]->waitingSeconds]);
            self::assertEqualsWithDelta($plan->blocks[1]->touches[1]->contacts(), $block->touches[1]->contacts(), 1e-9);
        }
        // Who is where: groups go one station on at each move, and meet every station once.
        $where = fn (int $turn): array => array_map(
            fn (StationTurn $one): array => [$one->blockId, $one->players],
            $plan->blocks[0]->round[$turn],
        );
        self::assertSame([['a', [1, 4, 7]], ['b', [2, 5, 8]], ['c', [3, 6, 9]]], $where(0));
        self::assertSame([['a', [3, 6, 9]], ['b', [1, 4, 7]], ['c', [2, 5, 8]]], $where(1));
        // More stations than people: every group is one, and what stands empty is said.
        $alone = self::evaluate([$at('a', 30, 'corners'), $at('b', 45, 'corners'), $at('c', 30, 'corners')], 1);
        self::assertSame(
            '3 stations and 1 player: 2 stand empty in every turn. Take stations out, or run them one after the other.',
            $alone->blocks[0]->warnings[0]->sentence,
        );
        self::assertSame([['a', [1]], ['b', []], ['c', []]], array_map(
            fn (StationTurn $one): array => [$one->blockId, $one->players],
            $alone->blocks[0]->round[0],
        ));
        self::assertSame(135.0, $alone->times[1]->ballSeconds);
        // Apart, the same blocks take one turn each but are laid out one after the other.
        self::assertSame(12, array_sum(self::evaluate([$at('a', 30, null)], 3)->kit->markersByColour));
        $short = self::evaluateFor([$at('a', 30, 'corners'), $at('b', 45, 'corners')], self::players(4), new KitOwned(markers: 15));
        self::assertStringStartsWith(
            'All stations at once: This needs 16 markers and the squad has 15.',
            $short->blocks[0]->warnings[0]->sentence,
        );
    }

    public function test_stations_that_wait_for_each_other_move_on_when_the_last_is_done(): void
    {
        $own = ['workers' => 1, 'playerServers' => 0, 'service' => 'none'];
        $timed = fn (string $id, int $seconds): Block => self::block(
            $own,
            $id,
            null,
            ['scoring' => null],
            ['kind' => 'timed', 'workSeconds' => $seconds, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'both'],
            'corners',
            true,
        );
        $plan = self::evaluate([$timed('a', 30), $timed('b', 45)], 6);
        // Each turn ends with the 45 s; three stand 15 s in it, and do not begin again.
        self::assertSame([45.0, 45.0], array_map(fn (BlockEvaluation $block): float => $block->partSeconds['work'], $plan->blocks));
        $atA = $plan->blocks[0]->atWork[1];
        self::assertSame([30.0, 15.0, 15.0], [$atA->ballSeconds, $atA->waitingSeconds, $atA->longestWaitSeconds]);
        self::assertSame([45.0, 0.0], [$plan->blocks[1]->atWork[1]->ballSeconds, $plan->blocks[1]->atWork[1]->waitingSeconds]);

        // With good ones to find, a turn is the mean of the largest: played with another generator from each station's own spread.
        $quota = fn (string $id, ?string $round): Block => self::block(
            $own,
            $id,
            null,
            [],
            ['kind' => 'quota', 'good' => 10, 'restSeconds' => 0, 'sides' => 'both'],
            $round,
            true,
        );
        $alone = self::evaluate([$quota('a', null)], 3)->blocks[0]->work->values;
        [$sum, $random] = [0.0, new Randomizer(new Mt19937(7))];
        for ($i = 0; $i < 20_000; $i++) {
            $sum += max($alone[$random->getInt(0, count($alone) - 1)], $alone[$random->getInt(0, count($alone) - 1)]);
        }
        $round = self::evaluate([$quota('a', 'corners'), $quota('b', 'corners')], 6)->blocks;
        self::assertEqualsWithDelta(1.0, $round[0]->partSeconds['work'] / ($sum / 20_000), 0.01);
        self::assertFalse($round[0]->isClocked());
        self::assertSame(
            [false, false],
            array_map(fn (BlockEvaluation $block): bool => self::work($block)->endsByClock, $round),
        );
        self::assertStringContainsString('All move on when the last group is done', $round[0]->how[count($round[0]->how) - 1]);
    }

    private static function work(BlockEvaluation $block): Segment
    {
        foreach ($block->segments as $segment) {
            if ($segment->kind === SegmentKind::Work) {
                return $segment;
            }
        }
        self::fail('There is no work.');
    }

    /**
     * @param  array<string, mixed>  $organisation
     * @param  array<string, mixed>  $change
     * @param  array<string, mixed>|null  $dose
     */
    private static function block(
        array $organisation,
        string $id = 'a',
        ?int $stations = null,
        array $change = [],
        ?array $dose = null,
        ?string $together = null,
        bool $stationsWait = false,
    ): Block {
        $drill = self::drill($organisation, $change);

        return Block::ofDrill($id, $drill, $drill->doseFrom($dose), Tempo::Steady, $stations, null, $together, $stationsWait);
    }

    public function test_as_many_as_may_come_take_turns_at_one_place(): void
    {
        // Twenty pairs of taps at 0.9 s each, one after the other, and 3 s from one to the next.
        $dose = ['kind' => 'reps', 'reps' => 20, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'right'];
        foreach ([2, 7, 20, 40] as $players) {
            $work = self::evaluate([self::block(Drills::fields()['organisation'], stations: 1, dose: $dose)], $players)->blocks[0]->work;
            self::assertEqualsWithDelta(18.0 * $players + 3.0 * ($players - 1), $work->mean(), 0.5, "{$players}");
            // Everybody's pace is their own: cv 0.25.
            self::assertEqualsWithDelta(1.0, sqrt($work->variance()) / (4.5 * sqrt($players)), 0.05, "{$players}");
        }
    }

    public function test_in_a_round_every_group_owes_the_numbers_of_the_station_it_is_at(): void
    {
        $own = ['workers' => 1, 'playerServers' => 0, 'service' => 'none'];
        $dose = fn (string $sides): array => ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 1, 'restSeconds' => 0, 'sides' => $sides];
        $counted = ['scoring' => ['kind' => 'count-in-time', 'starts' => 'whistle', 'stops' => 'whistle']];
        $corner = fn (string $id, string $sides): Block => self::block($own, $id, null, $counted, $dose($sides), 'corners');
        $plan = self::evaluate([$corner('a', 'alternating'), $corner('b', 'each')], 4);
        $said = [];
        foreach ($plan->blocks as $block) {
            foreach ($block->segments as $segment) {
                foreach ($segment->owed as $one) {
                    $said[$segment->turn][] = "{$one->playerId} {$one->blockId} {$one->side}";
                }
            }
        }
        // One and three begin at the first corner, two and four at the second; then they change. Each owes what its corner counts.
        self::assertEqualsCanonicalizing(['1 a alternating', '3 a alternating', '2 b R', '2 b L', '4 b R', '4 b L'], $said[1]);
        self::assertEqualsCanonicalizing(['2 a alternating', '4 a alternating', '1 b R', '1 b L', '3 b R', '3 b L'], $said[2]);
    }

    /**
     * @param  array<string, mixed>  $organisation
     * @param  array<string, mixed>  $change
     */
    private static function drill(array $organisation, array $change = []): \FleetSparrow\Core\Drill\Drill
    {
        $card = ($organisation['playerServers'] ?? 0) > 0 || ($organisation['coachServes'] ?? false) === true
            ? ['card' => ['give' => 'Along the ground.', 'call' => '', 'count' => '', 'stop' => '']]
            : [];

        return DrillFactory::fromFields($change + ['organisation' => $organisation + $card, 'scoring' => null] + Drills::fields());
    }

    /** @param  list<Block>  $blocks */
    private static function evaluate(array $blocks, int $players, int $helpers = 0, SeasonPast $past = new SeasonPast): PlanEvaluation
    {
        return PlanEvaluator::evaluate(
            $blocks,
            PlanContext::of(self::players($players), [], new ClockRules, helpers: $helpers, past: $past),
        );
    }

    /**
     * @param  list<Block>  $blocks
     * @param  list<PlanPlayer>  $players
     */
    private static function evaluateFor(array $blocks, array $players, KitOwned $kit = new KitOwned): PlanEvaluation
    {
        return PlanEvaluator::evaluate($blocks, PlanContext::of($players, [], new ClockRules, $kit));
    }

    /** @return list<PlanPlayer> */
    private static function players(int $count): array
    {
        return array_map(fn (int $i): PlanPlayer => new PlanPlayer($i, StrongFoot::Right), range(1, $count));
    }
}
