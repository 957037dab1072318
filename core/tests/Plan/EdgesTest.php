<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use FleetSparrow\Core\Clock\Calibration;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Dose\TimedDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\DutyKind;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Organisation\Stationing;
use FleetSparrow\Core\Organisation\Way\Hunt;
use FleetSparrow\Core\Organisation\Way\InTurns;
use FleetSparrow\Core\Plan\Availability;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Rotation\Meetings;
use FleetSparrow\Core\Shared\Cure;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\GoLimit;
use FleetSparrow\Core\Timeline\Segment;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The least and the most of what may be asked for, one by one. */
final class EdgesTest extends TestCase
{
    /** @return iterable<string, array{float, bool}> */
    public static function minutes(): iterable
    {
        yield 'half a minute' => [0.5, true];
        yield 'less' => [0.49, false];
        yield 'an hour' => [60.0, true];
        yield 'more' => [60.1, false];
    }

    #[DataProvider('minutes')]
    public function test_minutes_of_water_talk_and_game(float $minutes, bool $isTaken): void
    {
        if (! $isTaken) {
            $this->expectException(InvalidPlan::class);
        }
        self::assertSame($minutes, Block::ofMinutes('a', BlockKind::Water, $minutes)->minutes);
    }

    public function test_only_a_build_up_has_links(): void
    {
        $this->expectExceptionMessage('Only a build-up has links.');
        Block::ofDrill('a', Drills::soleTaps(), Drills::soleTaps()->dose ?? self::fail(), Tempo::Steady, null, links: 1);
    }

    #[TestWith([0])]
    #[TestWith([3])]
    public function test_a_build_up_has_as_many_links_as_it_has(int $links): void
    {
        $drill = self::drill(['script' => null, 'buildUp' => [
            ['name' => 'one', 'script' => 'a.in'], ['name' => 'two', 'script' => 'b.in'],
        ]]);
        $dose = $drill->dose ?? self::fail();
        self::assertSame(2, Block::ofDrill('a', $drill, $dose, Tempo::Steady, null, links: 2)->links);
        $this->expectExceptionMessage('This build-up has 1 to 2 links.');
        Block::ofDrill('a', $drill, $dose, Tempo::Steady, null, links: $links);
    }

    public function test_seconds_a_squad_chooses(): void
    {
        $none = Calibration::none();
        $chosen = fn (?float $marker, ?float $write = null): ClockRules => ClockRules::chosen(
            ['markerSeconds' => $marker, 'writeSeconds' => $write],
            $none,
            $none,
            $none,
        );
        self::assertSame([5.0, 2.0], [$chosen(null)->markerSeconds, $chosen(null)->writeSeconds]);
        self::assertSame([0.0, 3.5], [$chosen(0.0, 3.5)->markerSeconds, $chosen(0.0, 3.5)->writeSeconds]);
        self::assertSame(600.0, $chosen(600.0)->markerSeconds);
        foreach ([-0.1, 600.1, NAN] as $seconds) {
            try {
                $chosen($seconds);
                self::fail("{$seconds} s were taken.");
            } catch (InvalidPlan $refusal) {
                self::assertSame('markerSeconds', $refusal->path());
            }
        }
    }

    public function test_walls_and_goals_have_places(): void
    {
        $wall = self::drill(['layout' => [
            'kind' => 'wall-lane', 'width' => self::metres(2), 'nearest' => self::metres(3), 'step' => self::metres(2),
            'levels' => 2, 'level' => 1,
        ]])->layout;
        $corridor = self::drill(['layout' => ['kind' => 'corridor', 'distance' => self::metres(8)]])->layout;
        $goal = self::drill(['layout' => [
            'kind' => 'shooting-line', 'ballCount' => 3, 'spacing' => self::metres(1), 'distance' => self::metres(9),
            'goalWidth' => self::metres(3),
        ]])->layout;
        $box = Drills::soleTaps()->layout;
        // One where nothing is said; a corridor takes two walls.
        self::assertSame([1, 1, 1, null], array_map((new KitOwned)->places(...), [$wall, $corridor, $goal, $box]));
        $owned = new KitOwned(goals: 3, wallPlaces: 5);
        self::assertSame([5, 2, 3, null], array_map($owned->places(...), [$wall, $corridor, $goal, $box]));
        self::assertSame(1, (new KitOwned(wallPlaces: 0))->places($wall));
        // Two boards beside a wall for three: five at a lane, two in a corridor, and enough for five stations; boards alone do too.
        $carried = new KitOwned(wallPlaces: 3, boards: 2);
        self::assertSame([5, 2, 5], [$carried->places($wall), $carried->places($corridor), $carried->stations(Kit::of($wall, 1))]);
        self::assertSame([], $carried->shortages(Kit::of($wall, 5)));
        self::assertCount(1, $carried->shortages(Kit::of($wall, 6)));
        self::assertSame([2, null], [(new KitOwned(boards: 2))->places($wall), (new KitOwned)->atWalls()]);
        self::assertSame(5, $carried->withoutGoals()->places($wall));
        self::assertSame([], (new KitOwned(wallPlaces: 0))->shortages(Kit::of($box, 3)));
        self::assertSame(
            [
                'This needs 2 places at walls and boards and the squad has 1. '
                .'Use fewer stations; a rebound board, a bench on its side or a partner stands in.',
            ],
            (new KitOwned(wallPlaces: 1))->shortages(Kit::of($wall, 2)),
        );
    }

    public function test_four_meet_and_five_only_mix(): void
    {
        $meeting = fn (int $players): int => count((new Station(self::players($players)))->meeting());
        self::assertSame([0, 2, 4, 0], array_map($meeting, [1, 2, 4, 5]));
    }

    public function test_who_only_serves_in_a_hunt_serves_more_movers(): void
    {
        // Six movers and one who only serves: of seven ⌊7 ÷ 2⌋ serve, two of them movers: three serve four.
        $seats = (new Hunt)->goes(new Crew(6, 1), new GoPattern(['both'], 1, 0.0, 60.0))[0]->seats;
        $works = array_filter($seats, fn ($seat): bool => $seat->role === Role::Works);
        self::assertCount(4, $works);
        self::assertEqualsWithDelta(0.75, array_values($works)[0]->ball, 1e-9);
        self::assertSame(Role::Serves, $seats[6]->role);
        // With three who only serve all of the four who move are served.
        $more = (new Hunt)->goes(new Crew(4, 3), new GoPattern(['both'], 1, 0.0, 60.0))[0]->seats;
        self::assertSame([0.75, 0.0], [$more[0]->ball, $more[4]->wait]);
    }

    public function test_a_go_is_stopped_after_a_second_where_the_coach_says_so(): void
    {
        $limit = fn (float $seconds): ?float => GoLimit::seconds(
            QuotaDose::of(3, 0.0, DoseSides::Right, $seconds),
            Pace::of(2.0, 0.8, 1.0),
            new Memo,
        );
        self::assertSame([1.0, 0.5, null], [$limit(1.0), $limit(0.5), $limit(0.0)]);
    }

    public function test_where_nobody_may_work_nobody_takes_turns(): void
    {
        $worked = self::evaluated(Availability::ServesOnly, 3);
        self::assertStringNotContainsString('take turns', implode(' ', $worked->how));
        self::assertSame('Nobody who is here may work in this today.', $worked->warnings[0]->sentence);
    }

    public function test_a_pair_rests_while_the_other_goes_and_waits_for_what_is_over(): void
    {
        // A go of 20 s and a rest of 30: of the partner's 20 s all are rest; with three the second partner's are half rest, half waiting.
        $pattern = new GoPattern(['both'], 2, 30.0, 20.0);
        $waits = fn (int $people): array => array_map(
            fn ($go): float => round($go->seats[0]->waiting, 3),
            InTurns::alone()->goes(new Crew($people), $pattern),
        );
        self::assertSame([0.0, 0.0, 0.0, 1.0], $waits(2));
        self::assertSame([0.0, 0.0, 0.5, 0.0, 1.0, 1.0], $waits(3));
    }

    public function test_who_has_served_least_serves_and_the_other_counts(): void
    {
        $served = self::drill(['organisation' => [
            'workers' => 1, 'playerServers' => 1, 'service' => 'passed',
            'card' => ['give' => 'Along the ground.', 'call' => '', 'count' => '', 'stop' => ''],
        ]]);
        $block = fn (string $id): Block => Block::ofDrill($id, $served, $served->dose ?? self::fail(), Tempo::Steady, null);
        $players = [
            new PlanPlayer(1, StrongFoot::Right),
            new PlanPlayer(2, StrongFoot::Right, Availability::ServesOnly),
            new PlanPlayer(3, StrongFoot::Right, Availability::ServesOnly),
        ];
        $duties = fn (array $turns, int $blocks): array => array_map(
            fn (BlockEvaluation $one): array => array_column(array_map(get_object_vars(...), $one->duties), 'kind', 'playerId'),
            PlanEvaluator::evaluate(
                array_map(fn (int $i): Block => $block("b{$i}"), range(1, $blocks)),
                PlanContext::of($players, [], new ClockRules, past: new SeasonPast(serverTurns: $turns)),
            )->blocks,
        );
        self::assertSame(
            [[2 => DutyKind::Server, 3 => DutyKind::Counts], [2 => DutyKind::Server, 3 => DutyKind::Counts]],
            $duties([2 => 1, 3 => 3], 2),
        );
        self::assertSame(
            [[3 => DutyKind::Server, 2 => DutyKind::Counts], [2 => DutyKind::Server, 3 => DutyKind::Counts]],
            $duties([2 => 1], 2),
        );
    }

    public function test_more_places_than_groups_make_smaller_ones_where_it_can_be_done_alone(): void
    {
        $turns = self::drill(['organisation' => ['workers' => 2, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'take-turns']]);
        $sizes = fn (Drill $drill, int $players, ?int $stations): array => array_map(
            fn (Station $station): int => $station->players(),
            Stationing::of(self::players($players), $drill, $stations, 0, Meetings::of())->places(),
        );
        self::assertSame([2, 2, 2, 2, 2, 2, 2], $sizes($turns, 14, null));
        self::assertSame(array_fill(0, 14, 1), $sizes($turns, 14, 14));
        self::assertSame([1, 1, 1, 1, 1, 1, 1], $sizes($turns, 7, 7));
        // Fewer places than groups: these grow.
        self::assertSame([4, 4, 2, 2, 2], $sizes($turns, 14, 5));
        $four = self::drill(['organisation' => ['workers' => 4, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'take-turns']]);
        self::assertSame([[5, 5, 4], [3, 3, 3, 3, 2]], [$sizes($four, 14, null), $sizes($four, 14, 5)]);
        // Passing needs another, whatever room there is.
        $pass = self::drill(['organisation' => ['workers' => 2, 'playerServers' => 0, 'service' => 'passed', 'pattern' => 'together']]);
        self::assertSame([2, 2], $sizes($pass, 4, 4));
    }

    public function test_groups_that_share_a_place_are_helped_where_one_of_them_is(): void
    {
        $group = fn (bool $isHelped): Station => new Station(self::players(1), isHelped: $isHelped);
        self::assertSame([true, false], [
            Station::merged([$group(false), $group(true)])->isHelped, Station::merged([$group(false), $group(false)])->isHelped,
        ]);
    }

    public function test_one_server_in_a_hunt_is_a_wish_that_stands(): void
    {
        $seats = (new Hunt(1))->goes(new Crew(8), new GoPattern(['both'], 1, 0.0, 60.0))[0]->seats;
        self::assertCount(1, array_filter($seats, fn ($seat): bool => $seat->role === Role::Serves));
        self::assertSame([1, 4], [(new Hunt(1))->balls(new Crew(8)), (new Hunt)->balls(new Crew(8))]);
    }

    public function test_no_wall_is_no_matter_where_none_is_needed(): void
    {
        self::assertNull((new KitOwned(wallPlaces: 0))->stations(Kit::of(Drills::soleTaps()->layout, 1)));
    }

    public function test_a_swap_belongs_to_whoever_comes_next(): void
    {
        $drill = self::drill(['organisation' => ['workers' => 2, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'take-turns']]);
        $worked = PlanEvaluator::evaluate(
            [Block::ofDrill('a', $drill, $drill->dose ?? self::fail(), Tempo::Steady, null)],
            PlanContext::of(self::players(2), [], new ClockRules),
        )->blocks[0];
        $turns = array_map(fn (Segment $one): string => "{$one->kind->value} {$one->turn}", $worked->segments);
        self::assertSame(
            ['explain ', 'work 1', 'change 2', 'work 2', 'change 1', 'work 1', 'change 2', 'work 2', 'write 2'],
            $turns,
        );
    }

    public function test_a_second_of_rest_between_items_is_a_rest(): void
    {
        $item = ['name' => 'One', 'script' => 'a.in', 'secondsPerRep' => 1, 'restSeconds' => 1, 'dose' => [
            'kind' => 'timed', 'workSeconds' => 10, 'sides' => 'both',
        ]];
        $drill = self::drill([
            'script' => null,
            'scoring' => null,
            'circuit' => [$item, $item],
            'dose' => ['kind' => 'circuit', 'rounds' => 1, 'restSeconds' => 0],
        ]);
        $worked = PlanEvaluator::evaluate(
            [Block::ofDrill('a', $drill, $drill->dose ?? self::fail(), Tempo::Steady, null)],
            PlanContext::of(self::players(1), [], new ClockRules),
        )->blocks[0];
        self::assertSame(
            [['explain', 60.0], ['work', 10.0], ['rest', 1.0], ['work', 10.0]],
            array_map(fn (Segment $one): array => [$one->kind->value, $one->seconds], $worked->segments),
        );
    }

    public function test_two_at_one_place_are_cured_by_one_each(): void
    {
        $drill = Drills::soleTaps();
        $dose = TimedDose::of(90.0, 2, 10.0, DoseSides::Both);
        $worked = PlanEvaluator::evaluate(
            [Block::ofDrill('a', $drill, $dose, Tempo::Steady, 1)],
            PlanContext::of(self::players(2), [], new ClockRules),
        )->blocks[0];
        $waits = array_values(array_filter($worked->warnings, fn (Warning $one): bool => $one->code === 'wait'));
        self::assertSame(['Make it 2 stations'], array_map(fn (Warning $one): ?string => $one->cure?->words, $waits));
    }

    public function test_alone_in_a_box_for_all_is_fine_and_alone_at_passing_is_not(): void
    {
        $said = fn (array $change): array => array_column(PlanEvaluator::evaluate(
            [Block::ofDrill('a', $drill = self::drill($change), $drill->dose ?? self::fail(), Tempo::Steady, null)],
            PlanContext::of(self::players(1), [], new ClockRules),
        )->blocks[0]->warnings, 'code');
        $together = ['workers' => 3, 'playerServers' => 0, 'pattern' => 'together'];
        self::assertSame([], $said(['organisation' => ['service' => 'none'] + $together]));
        self::assertSame(['server'], $said(['organisation' => ['service' => 'passed'] + $together]));
    }

    public function test_too_few_in_two_passing_lines_are_cured_by_one_line_fewer(): void
    {
        $lines = self::drill([
            'layout' => ['kind' => 'facing-lines', 'distance' => self::metres(8), 'perLine' => 2],
            'organisation' => ['workers' => 4, 'playerServers' => 0, 'service' => 'passed', 'pattern' => 'pass-and-follow'],
        ]);
        $cure = fn (int $stations): ?Cure => array_values(array_filter(PlanEvaluator::evaluate(
            [Block::ofDrill('a', $lines, $lines->dose ?? self::fail(), Tempo::Steady, $stations)],
            PlanContext::of(self::players(4), [], new ClockRules),
        )->blocks[0]->warnings, fn (Warning $one): bool => $one->code === 'queue'))[0]->cure ?? null;
        self::assertSame(1, $cure(2)?->stations);
        self::assertNull($cure(1));
    }

    private static function evaluated(Availability $may, int $players): BlockEvaluation
    {
        $drill = Drills::soleTaps();

        return PlanEvaluator::evaluate(
            [Block::ofDrill('a', $drill, $drill->dose ?? self::fail(), Tempo::Steady, null)],
            PlanContext::of(
                array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right, $may), range(1, $players)),
                [],
                new ClockRules,
            ),
        )->blocks[0];
    }

    /** @return non-empty-list<PlanPlayer> */
    private static function players(int $count): array
    {
        return array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, max(1, $count)));
    }

    /** @param  array<string, mixed>  $change */
    private static function drill(array $change): Drill
    {
        return DrillFactory::fromFields(array_filter($change + Drills::fields(), fn (mixed $field): bool => $field !== null));
    }

    /** @return array{value: int, unit: string} */
    private static function metres(int $metres): array
    {
        return ['value' => $metres, 'unit' => 'm'];
    }
}
