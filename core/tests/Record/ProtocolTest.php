<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Record;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Record\Penalty;
use FleetSparrow\Core\Record\Protocol;
use FleetSparrow\Core\Tests\Drill\BookTest;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The penalties of the sixteen-pass test, after Ali and others 2007 (J Sports Sci 25:1461–70), from memory. */
final class ProtocolTest extends TestCase
{
    /** @return array<string, array{float, array<string, int>, float}> time, penalties, score worked out by hand */
    public static function runs(): array
    {
        return [
            'clean and within 43 s' => [41.2, [], 41.2],
            // 41.2 + 2 × 3 − 1
            'two targets missed, the strip hit once' => [41.2, ['target-missed' => 2, 'strip-hit' => 1], 46.2],
            'exactly 43 s' => [43.0, [], 43.0],
            'under a whole second over' => [43.9, [], 43.9],
            // 44.0 + 1
            'one whole second over' => [44.0, [], 45.0],
            // 47.9 + 4 whole seconds + 5 + 3
            'wrong bench, handled, four seconds over' => [47.9, ['wrong-board' => 1, 'handling' => 1], 59.9],
            // 50 + 7 + 2 + 2 − 3
            'outside the area, a marker, three strips' => [50.0, ['outside-area' => 1, 'marker-touched' => 1, 'strip-hit' => 3], 58.0],
        ];
    }

    /** @param  array<string, int>  $counts */
    #[DataProvider('runs')]
    public function test_the_score_is_what_hand_work_gives(float $seconds, array $counts, float $score): void
    {
        self::assertSame($score, self::protocol()->score($seconds, $counts)->seconds());
    }

    public function test_parts_of_a_second_over_may_count_where_a_protocol_says_so(): void
    {
        $whole = Protocol::of([new Penalty('a', 'A', 5.0)], 43.0, 1.0, false);
        $parts = Protocol::of([new Penalty('a', 'A', 5.0)], 43.0, 1.0, true);

        self::assertSame(51.9, $whole->score(47.9, [])->seconds());
        self::assertSame(52.8, $parts->score(47.9, [])->seconds());
        self::assertNotEquals($whole->fields(), $parts->fields());
    }

    public function test_each_penalty_says_how_it_came_about(): void
    {
        self::assertSame(
            ['Target area missed: 2 × 3 s = 6 s', 'Over 43 s: 4 × 1 s = 4 s'],
            self::protocol()->score(47.9, ['target-missed' => 2])->lines,
        );
    }

    public function test_what_cannot_be_is_refused(): void
    {
        foreach ([
            [0.0, []],
            [3601.0, []],
            [NAN, []],
            [40.0, ['handling' => -1]],
            [40.0, ['handling' => 100]],
            [40.0, ['offside' => 1]],
        ] as [$seconds, $counts]) {
            try {
                self::protocol()->score($seconds, $counts);
                self::fail('It was taken.');
            } catch (InvalidRecord $refused) {
                self::assertMatchesRegularExpression('/\A(seconds|counts(\.handling)?)\z/', $refused->path());
            }
        }
    }

    public function test_a_penalty_is_at_most_a_minute_either_way(): void
    {
        foreach ([-60.0, 60.0] as $seconds) {
            self::assertSame(40.0 + $seconds + 60.0, Protocol::of(
                [new Penalty('a', 'A', $seconds), new Penalty('b', 'B', 60.0)],
                null,
                0.0,
                false,
            )->score(40.0, ['a' => 1, 'b' => 1])->seconds());
        }
        foreach ([-60.1, 60.1, NAN] as $seconds) {
            try {
                Protocol::of([new Penalty('a', 'A', $seconds)], null, 0.0, false);
                self::fail("{$seconds} s was taken.");
            } catch (InvalidRecord $refused) {
                self::assertSame('penalties', $refused->path());
            }
        }
    }

    private static function protocol(): Protocol
    {
        $drills = array_column(array_map(fn (Drill $drill): array => [$drill->slug, $drill], BookTest::book()), 1, 0);

        return $drills['sixteen-passes']->rule->protocol ?? throw new \LogicException('The test is not in the book.');
    }
}
