<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Home;

use FleetSparrow\Core\Book\DrillIndex;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\StandIn;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Home\HomeDay;
use FleetSparrow\Core\Home\HomeKit;
use FleetSparrow\Core\Home\HomeNeeds;
use FleetSparrow\Core\Home\HomePlace;
use FleetSparrow\Core\Home\HomeSchool;
use FleetSparrow\Core\Home\HomeSpace;
use FleetSparrow\Core\Home\HomeWall;
use FleetSparrow\Core\Home\Routine;
use FleetSparrow\Core\Home\RoutineItem;
use FleetSparrow\Core\Layout\Kind\OnTheSpot;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Move\MoveDictionary;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A week at home out of the book: it fits, it is allowed, it is what is needed, and it changes little. */
final class RoutineTest extends TestCase
{
    /** @return array<string, Drill> */
    private static function drills(): array
    {
        static $drills = null;

        return $drills ??= array_column(array_map(static fn (Drill $drill): array => [$drill->slug, $drill], BookTest::book()), 1, 0);
    }

    private static function index(): DrillIndex
    {
        static $index = null;

        return $index ??= DrillIndex::of(array_values(self::drills()), MoveDictionary::of([]));
    }

    private static function routine(
        HomePlace $place,
        HomeNeeds $needs = new HomeNeeds,
        HomeSchool $school = HomeSchool::BothFeet,
        int $under = 12,
    ): Routine {
        return Routine::of(self::drills(), self::index(), $place, $needs, $school, AgeGroup::of("U{$under}"));
    }

    /** @return list<string> */
    private static function slugs(Routine $routine, int $day = 0): array
    {
        return array_map(static fn (RoutineItem $item): string => $item->drill->slug, $routine->days[$day]->items);
    }

    /** @return array<string, array{HomePlace}> every room, with and without a wall, somebody to serve, and quiet */
    public static function places(): array
    {
        $places = [];
        foreach (HomeSpace::cases() as $space) {
            // A wall, somebody to serve, quiet.
            foreach (['000', '100', '010', '001', '110'] as $has) {
                foreach ([10, 20] as $minutes) {
                    $places["{$space->value} {$minutes} {$has}"] = [
                        HomePlace::of(
                            $minutes,
                            3,
                            $space,
                            $has[0] === '1' ? HomeWall::Wall : HomeWall::None,
                            $has[1] === '1',
                            $has[2] === '1',
                        ),
                    ];
                }
            }
        }

        return $places;
    }

    #[DataProvider('places')]
    public function test_everything_fits_the_place_and_the_minutes(HomePlace $place): void
    {
        $routine = self::routine($place, new HomeNeeds(mayHead: false));
        self::assertNotSame([], $routine->days, $routine->refusal);
        [$width, $depth] = $place->space->millimetres();
        foreach ($routine->days as $day) {
            self::assertLessThanOrEqual($place->minutes, $day->minutes);
            // Half a minute between two, and a minute of water after more than ten.
            $minutes = array_map(static fn (RoutineItem $one): float => $one->minutes, $day->items);
            $work = array_sum($minutes) + 0.5 * (count($minutes) - 1);
            self::assertEqualsWithDelta($work + ($work > 10.0 ? 1.0 : 0.0), $day->minutes, 1e-9);
            $families = array_count_values(array_map(static fn (RoutineItem $one): string => $one->drill->family->value, $day->items));
            self::assertLessThanOrEqual(3, max($families));
            $striking = 0;
            foreach ($day->items as $item) {
                $drill = $item->block()->drill ?? $item->drill;
                $tally = Tally::of($drill->script);
                $print = $drill->layout->footprint();
                $round = 2 * $print->clearanceMillimetres;
                // Nobody stands behind a wall.
                $round = isset(Kit::of($drill->layout, 1)->equipment['wall']) ? 0 : $round;
                $sides = [$print->widthMillimetres + $round, $print->depthMillimetres + $round];
                $isOnTheSpot = $drill->layout->kind() === OnTheSpot::KIND && ! str_contains($drill->script->text(), '^');
                self::assertTrue(
                    $isOnTheSpot || (min($sides) <= min($width, $depth) && max($sides) <= max($width, $depth)),
                    $item->drill->slug,
                );
                self::assertSame(0.0, $tally->contactsWith(Surface::Head), 'No heading where it is counted.');
                $kit = Kit::of($drill->layout, 1)->equipment;
                self::assertTrue($place->wall === HomeWall::Wall || ! isset($kit['wall']), $item->drill->slug);
                self::assertArrayNotHasKey('goal', $kit);
                self::assertTrue($drill->organisation->isForOne() || ($place->hasHelper && $drill->organisation->people() === 'pair'));
                $mayFetch = in_array('ball', array_map(static fn (StandIn $one): string => $one->for, $drill->teaching->standIns), true);
                self::assertTrue(($kit['ball'] ?? 1) === 1 || $mayFetch, $item->drill->slug);
                self::assertFalse($place->isQuiet && $tally->contactsFor(Purpose::Shot) > 0.0, $item->drill->slug);
                self::assertFalse($place->isQuiet && isset($kit['wall']), $item->drill->slug);
                self::assertTrue(! $place->isQuiet || ! str_contains($drill->script->text(), '^'), $item->drill->slug);
                self::assertNotSame([], $item->reasons);
                $striking += $tally->contactsFor(Purpose::Shot) > 0.0 ? 1 : 0;
            }
            self::assertLessThanOrEqual(1, $striking);
        }
        self::assertEquals($routine, self::routine($place, new HomeNeeds(mayHead: false)), 'The same asks give the same week.');
    }

    public function test_what_is_needed_comes_first_and_says_why(): void
    {
        $place = HomePlace::of(15, 3, HomeSpace::Square);
        $needs = new HomeNeeds(
            rungs: ['sole-taps' => 'Soles on top of the ball'],
            targets: ['pull-back-out-v' => '17 reps'],
            staleFamilies: ['juggling' => 30],
            behind: ['pull-back-out-v' => 78],
        );
        $routine = self::routine($place, $needs);
        $first = $routine->days[0]->items;

        self::assertSame(['pull-back-out-v', 'sole-taps'], array_slice(self::slugs($routine), 0, 2));
        self::assertSame(['a number to beat: 17 reps', 'the other foot is at 78 in 100'], $first[0]->reasons);
        self::assertSame('17 reps', $first[0]->target);
        self::assertSame(['the rung to work on: Soles on top of the ball'], $first[1]->reasons);
        self::assertContains('juggling', array_map(static fn (RoutineItem $one): string => $one->drill->family->value, $first));
        self::assertCount(3, $routine->days);
    }

    public function test_a_week_keeps_most_of_the_one_before(): void
    {
        $place = HomePlace::of(20, 3, HomeSpace::Square);
        $first = self::slugs(self::routine($place));
        // Something new is needed, and comes in; the rest stays.
        $next = self::slugs(self::routine($place, new HomeNeeds(rungs: ['drag-back-turn' => 'Turns'], lastWeek: $first)));
        self::assertGreaterThanOrEqual(count($first) - 2, count(array_intersect($first, $next)));
        self::assertSame($first, self::slugs(self::routine($place, new HomeNeeds(lastWeek: $first))));
    }

    public function test_the_other_foot_has_a_day_of_its_own(): void
    {
        $routine = self::routine(HomePlace::of(20, 3, HomeSpace::Square), school: HomeSchool::OtherFootDay);
        self::assertSame([false, true, false], array_map(static fn ($day): bool => $day->isOtherFoot, $routine->days));
        foreach ($routine->days[1]->items as $item) {
            self::assertSame([Side::Left], $item->dose->sides()->sidesFor(StrongFoot::Right));
            self::assertSame(0.0, Tally::of($item->drill->script)->contactsFor(Purpose::Shot));
        }
        $five = self::routine(HomePlace::of(20, 5, HomeSpace::Square), school: HomeSchool::OtherFootDay);
        self::assertSame([3], array_keys(array_filter(
            array_combine(range(1, 5), array_map(static fn ($day): bool => $day->isOtherFoot, $five->days)),
        )));
        // With one day a week both feet have it.
        self::assertFalse(self::routine(HomePlace::of(20, 1, HomeSpace::Square), school: HomeSchool::OtherFootDay)->days[0]->isOtherFoot);
    }

    /** What the coach chose comes first, what they took out stays away, and what does not fit is said. */
    public function test_the_coach_has_the_last_word(): void
    {
        $place = HomePlace::of(15, 3, HomeSpace::Square);
        $usual = self::slugs(self::routine($place));
        $needs = new HomeNeeds(rungs: ['sole-taps' => 'Soles']);
        $own = self::routine($place, $needs->chosen(['other-foot-ten', 'wall-two-touch'], [$usual[0]]));
        self::assertSame('other-foot-ten', self::slugs($own)[0]);
        self::assertSame('chosen by the coach', $own->days[0]->items[0]->reasons[0]);
        self::assertNotContains($usual[0], self::slugs($own));
        self::assertSame([self::drills()['wall-two-touch']->name], $own->left);
    }

    /** @return array<string, array{string, HomePlace}> */
    public static function wishes(): array
    {
        $square = HomePlace::of(20, 3, HomeSpace::Square);
        $wall = HomePlace::of(20, 3, HomeSpace::Lane, HomeWall::Wall);

        return [
            'a juggling ladder' => ['kick-catch-run', $square],
            'in a row with the other foot' => ['other-foot-ten', $square],
            'ten by ten at a wall, near' => ['wall-race-near', $wall],
            'ten by ten at a wall, middle' => ['wall-race-middle', $wall],
            'sole taps' => ['sole-taps', HomePlace::of(10, 3, HomeSpace::Hallway, isQuiet: true)],
            'inside taps' => ['inside-taps', HomePlace::of(10, 3, HomeSpace::SmallSquare, isQuiet: true, kit: HomeKit::BallOnly)],
            'one marker' => ['triangle-marker', $square],
            'one marker, facing' => ['pull-behind-marker', $square],
            'a chain that builds up' => ['build-up-sole-chain', $square],
            'a container near by' => ['container-near', HomePlace::of(20, 3, HomeSpace::Lane)],
            'a couch instead of a wall' => ['couch-ten-good', HomePlace::of(10, 3, HomeSpace::Hallway, HomeWall::Couch, isQuiet: true)],
            'a server' => ['thigh-and-return', HomePlace::of(20, 3, HomeSpace::Lane, hasHelper: true)],
            'a round of windows' => ['twelve-windows', HomePlace::of(20, 3, HomeSpace::Square)],
        ];
    }

    #[DataProvider('wishes')]
    public function test_what_is_done_at_home_everywhere_can_be_reached(string $slug, HomePlace $place): void
    {
        $routine = self::routine($place, (new HomeNeeds(mayHead: false))->chosen([$slug], []));
        self::assertContains($slug, $routine->days === [] ? [$routine->refusal] : self::slugs($routine), implode(', ', $routine->left));
    }

    public function test_a_chain_that_ends_at_the_head_does_without_it_where_heading_is_counted(): void
    {
        $place = HomePlace::of(20, 3, HomeSpace::Square);
        $needs = fn (bool $mayHead): HomeNeeds => new HomeNeeds(mayHead: $mayHead, wanted: ['seven-part-chain']);
        $chosen = fn (bool $mayHead): RoutineItem => self::routine($place, $needs($mayHead))->days[0]->items[0];
        self::assertSame(6, $chosen(false)->links);
        self::assertSame(0.0, Tally::of(($chosen(false)->block()->drill ?? self::fail())->script)->contactsWith(Surface::Head));
        self::assertNull($chosen(true)->links);
    }

    public function test_without_a_ball_it_says_what_is_needed(): void
    {
        $routine = self::routine(HomePlace::of(15, 3, HomeSpace::Square, kit: HomeKit::Nothing));
        self::assertSame([], $routine->days);
        self::assertStringContainsString('any ball will do', $routine->refusal);
    }

    /** The timer, the sheet and the sum of the coach are the same minutes; what a session works out of a drill, the home does. */
    #[DataProvider('places')]
    public function test_a_day_is_counted_as_long_as_it_is_said_to_be(HomePlace $place): void
    {
        foreach (self::routine($place, school: HomeSchool::OtherFootDay)->days as $day) {
            $worked = HomeDay::of($day, new PlanPlayer(7, StrongFoot::Right));
            // Tries that a coach would stop are a little shorter on the timeline than by the drill's own mean.
            self::assertEqualsWithDelta(60.0 * $day->minutes, $worked->seconds(), 0.06 * 60.0 * $day->minutes);
            $kinds = array_map(static fn (Segment $one): SegmentKind => $one->kind, $worked->segments);
            self::assertCount($day->minutes > Routine::WATER_AFTER_MINUTES ? 1 : 0, array_keys($kinds, SegmentKind::Water, true));
            $read = array_filter($worked->segments, static fn (Segment $one): bool => $one->kind === SegmentKind::Explain);
            $pauses = array_map(static fn (Segment $one): float => $one->seconds, array_values($read));
            self::assertSame([0.0, ...array_fill(0, count($day->items) - 1, 30.0)], $pauses, 'The first is read before the start.');
            foreach ($worked->asks() as $i => $asks) {
                $sides = array_map(static fn (Owed $one): string => "{$one->item} {$one->side}", $asks);
                self::assertSame(array_unique($sides), $sides, 'One number a foot.');
                $isCounted = $day->items[$i]->drill->rule !== null || $day->items[$i]->drill->composition->items !== [];
                self::assertTrue($isCounted || $asks === []);
                $hasBall = Tally::of($day->items[$i]->drill->script)->contacts() > 0.0;
                self::assertSame($hasBall, $worked->worked[$i]->touches[7]->contacts() > 0.0, $day->items[$i]->drill->slug);
            }
        }
    }

    /** A hallway, squares of 2 and 5 m, a lane of ten yards: common practice, no source. */
    public function test_rooms_are_as_large_as_they_are_said_to_be(): void
    {
        self::assertSame(
            [[1200, 4000], [2000, 2000], [5000, 5000], [3000, 9144]],
            array_map(static fn (HomeSpace $one): array => $one->millimetres(), HomeSpace::cases()),
        );
    }

    /** A wall in a quiet house is one that gives: from a couch the ball comes back without a word from beneath. */
    public function test_quietly_a_couch_does_and_a_wall_does_not(): void
    {
        $wanted = new HomeNeeds(wanted: ['couch-ten-good']);
        $left = fn (HomeWall $wall): array => self::routine(HomePlace::of(10, 3, HomeSpace::Square, $wall, isQuiet: true), $wanted)->left;
        self::assertSame([], $left(HomeWall::Couch));
        self::assertSame(['Short wall or couch, ten good ones'], $left(HomeWall::Wall));
        self::assertSame(['Short wall or couch, ten good ones'], $left(HomeWall::None));
    }

    /** Shooting needs more room than there is at home, and is none of it. */
    public function test_juggling_taps_walls_and_targets_can_all_be_reached(): void
    {
        $reached = [];
        foreach (self::places() as [$place]) {
            foreach (['juggling', 'ball-mastery', 'passing', 'turning', 'first-touch', 'dribbling'] as $family) {
                $needs = new HomeNeeds(staleFamilies: [$family => 40]);
                foreach (self::routine($place, $needs)->days[0]->items ?? [] as $item) {
                    $reached[$item->drill->family->value] = true;
                }
            }
        }
        foreach (['ball-mastery', 'dribbling', 'first-touch', 'juggling', 'passing', 'turning'] as $family) {
            self::assertArrayHasKey($family, $reached);
        }
        self::assertArrayNotHasKey('striking', $reached);
    }

    public function test_where_nothing_fits_it_says_what_would_help(): void
    {
        // A book of one drill that needs a wall.
        $drills = array_intersect_key(self::drills(), ['wall-two-touch' => true]);
        $routine = Routine::of(
            $drills,
            DrillIndex::of(array_values($drills), MoveDictionary::of([])),
            HomePlace::of(15, 3, HomeSpace::Hallway, isQuiet: true),
            new HomeNeeds,
            HomeSchool::BothFeet,
            null,
        );
        self::assertSame([], $routine->days);
        self::assertSame(
            'Nothing in the book fits a hallway, 1.2 by 4 m, quietly. More room, a wall or somebody to serve would help.',
            $routine->refusal,
        );
    }

    public function test_minutes_and_days_no_child_should_have_are_refused(): void
    {
        self::assertSame(10, HomePlace::of(10, 7, HomeSpace::Hallway)->minutes);
        foreach ([[9, 3], [21, 3], [15, 0], [15, 8]] as [$minutes, $days]) {
            try {
                HomePlace::of($minutes, $days, HomeSpace::Hallway);
                self::fail("{$minutes} minutes, {$days} days");
            } catch (InvalidPlan $refusal) {
                self::assertStringContainsString($minutes === 15 ? 'days' : 'minutes', $refusal->getMessage());
            }
        }
    }
}
