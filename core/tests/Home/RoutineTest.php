<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Home;

use FleetSparrow\Core\Book\DrillIndex;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Home\HomeNeeds;
use FleetSparrow\Core\Home\HomePlace;
use FleetSparrow\Core\Home\HomeSchool;
use FleetSparrow\Core\Home\HomeSpace;
use FleetSparrow\Core\Home\Routine;
use FleetSparrow\Core\Home\RoutineItem;
use FleetSparrow\Core\Layout\Kind\OnTheSpot;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Move\MoveDictionary;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drill\BookTest;
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
        return array_map(static fn (RoutineItem $item): string => $item->drill, $routine->days[$day]->items);
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
                        HomePlace::of($minutes, 3, $space, ...array_map(boolval(...), str_split($has))),
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
            $families = array_count_values(array_map(static fn (RoutineItem $one): string => $one->family->value, $day->items));
            self::assertLessThanOrEqual(2, max($families));
            $striking = 0;
            foreach ($day->items as $item) {
                $drill = self::drills()[$item->drill];
                $tally = Tally::of($drill->script);
                $print = $drill->layout->footprint();
                $round = 2 * $print->clearanceMillimetres;
                $sides = [$print->widthMillimetres + $round, $print->depthMillimetres + $round];
                $isOnTheSpot = $drill->layout->kind() === OnTheSpot::KIND && ! str_contains($drill->script->text(), '^');
                self::assertTrue(
                    $isOnTheSpot || (min($sides) <= min($width, $depth) && max($sides) <= max($width, $depth)),
                    $item->drill,
                );
                self::assertSame(0.0, $tally->contactsWith(Surface::Head), 'No heading where it is counted.');
                $kit = Kit::of($drill->layout, 1)->equipment;
                self::assertTrue($place->hasWall || ! isset($kit['wall']), $item->drill);
                self::assertArrayNotHasKey('goal', $kit);
                self::assertTrue(! $place->isQuiet || ! str_contains($drill->script->text(), '^'), $item->drill);
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
        self::assertContains('juggling', array_map(static fn (RoutineItem $one): string => $one->family->value, $first));
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
            self::assertSame(0.0, Tally::of(self::drills()[$item->drill]->script)->contactsFor(Purpose::Shot));
        }
        // With one day a week both feet have it.
        self::assertFalse(self::routine(HomePlace::of(20, 1, HomeSpace::Square), school: HomeSchool::OtherFootDay)->days[0]->isOtherFoot);
    }

    /** Shooting needs more room than there is at home, and is none of it. */
    public function test_juggling_taps_walls_and_targets_can_all_be_reached(): void
    {
        $reached = [];
        foreach (self::places() as [$place]) {
            foreach (['juggling', 'ball-mastery', 'passing', 'turning', 'first-touch', 'dribbling'] as $family) {
                $needs = new HomeNeeds(staleFamilies: [$family => 40]);
                foreach (self::routine($place, $needs)->days[0]->items ?? [] as $item) {
                    $reached[$item->family->value] = true;
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
