<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\TestCase;

final class KitOwnedTest extends TestCase
{
    public function test_as_many_stations_as_come_without_a_shortage(): void
    {
        $layout = Drills::soleTaps()->layout;
        $one = Kit::of($layout, 1);
        self::assertGreaterThan(0, $one->markers());
        foreach (range(0, 30) as $markers) {
            foreach ([0, 1, 3, null] as $balls) {
                $owned = new KitOwned($markers, $balls);
                $enough = $owned->stations($one);
                self::assertNotNull($enough);
                self::assertTrue($enough === 0 || $owned->shortages(Kit::of($layout, $enough)) === []);
                self::assertNotSame([], $owned->shortages(Kit::of($layout, $enough + 1)));
            }
        }
    }

    public function test_one_is_one_and_more_are_many(): void
    {
        $layout = DrillFactory::fromFields(
            ['layout' => ['kind' => 'line', 'markers' => 2, 'spacing' => ['value' => 1, 'unit' => 'yd']]] + Drills::fields(),
        )->layout;
        $said = fn (int $balls, int $owned): string => implode(' ', (new KitOwned(balls: $owned))->shortages(Kit::of($layout, 1, $balls)));
        self::assertSame('This needs 1 ball and the squad has 0. Use fewer stations, or take turns with one.', $said(1, 0));
        self::assertSame('This needs 2 balls and the squad has 1. Use fewer stations, or take turns with one.', $said(2, 1));
        self::assertSame('', $said(2, 2));
        // Of what a drill does not need a squad may have none.
        self::assertSame([], (new KitOwned(balls: 0, goals: 0, wallPlaces: 0))->shortages(Kit::of($layout, 1)->withoutBalls()));
    }

    public function test_what_is_not_said_is_never_short(): void
    {
        self::assertNull((new KitOwned)->stations(Kit::of(Drills::soleTaps()->layout, 1)));
        self::assertSame([], (new KitOwned)->shortages(Kit::of(Drills::soleTaps()->layout, 30)));
    }
}
