<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Organisation;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Organisation\OneMoreBall;
use FleetSparrow\Core\Tests\Drill\BookTest;
use PHPUnit\Framework\TestCase;

final class OneMoreBallTest extends TestCase
{
    private static function drill(string $slug): Drill
    {
        $fields = BookTest::fields();

        return DrillFactory::fromFields($fields[(int) array_search($slug, array_column($fields, 'slug'), true)]);
    }

    public function test_a_second_ball_halves_the_gap_where_enough_are_there(): void
    {
        $lines = self::drill('facing-lines-movement');
        // By counting: 11 players, 3 s from pass to pass: 33 s with one ball, 16.5 s with two.
        self::assertSame('2 balls: a turn every 17 s in place of 33 s.', OneMoreBall::words($lines, 3.0, 11));
        // Two positions and two balls need four.
        self::assertSame('2 balls: a turn every 6 s in place of 12 s.', OneMoreBall::words($lines, 3.0, 4));
        self::assertNull(OneMoreBall::words($lines, 3.0, 3));
    }

    public function test_where_each_has_a_ball_there_is_none_to_bring_in(): void
    {
        self::assertNull(OneMoreBall::words(self::drill('sole-taps'), 1.0, 11));
    }
}
