<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Progress;

use FleetSparrow\Core\Progress\LadderPlace;
use FleetSparrow\Core\Progress\RungReading;
use FleetSparrow\Core\Record\Better;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** This tool's own starting rule: both sides in 2 of the last 3 sessions. */
final class LadderPlaceTest extends TestCase
{
    /** @return array<string, array{array<string, list<float>>, bool, bool}> session values by side, passed, far below; criterion 10 */
    public static function readings(): array
    {
        return [
            'both sides twice of three' => [['R' => [10.0, 4.0, 12.0], 'L' => [10.0, 11.0, 9.0]], true, false],
            'one side only' => [['R' => [12.0, 12.0, 12.0], 'L' => [9.0, 9.0, 12.0]], false, false],
            'the other foot not tried' => [['R' => [12.0, 12.0], 'L' => []], false, false],
            'met long ago, not lately' => [['both' => [12.0, 12.0, 9.0, 9.0, 9.0]], false, false],
            'two sessions are enough when both meet it' => [['both' => [10.0, 10.0]], true, false],
            'once is not' => [['both' => [15.0]], false, false],
            'under half twice running' => [['both' => [12.0, 4.9, 4.0]], false, true],
            'exactly half is not under half' => [['both' => [5.0, 5.0]], false, false],
            'under half once' => [['both' => [4.0, 6.0]], false, false],
            'nothing' => [['R' => [], 'L' => []], false, false],
        ];
    }

    /** @param  non-empty-array<string, list<float>>  $bySide */
    #[DataProvider('readings')]
    public function test_a_rung_is_read_from_the_last_three_sessions_of_each_side(array $bySide, bool $passed, bool $far): void
    {
        $reading = RungReading::of($bySide, 10.0, Better::Higher);

        self::assertSame([$passed, $far], [$reading->isPassed, $reading->isFarBelow]);
    }

    public function test_a_side_without_a_number_is_said(): void
    {
        self::assertSame('right: 12, 11, 2 of the last 2 reach 10; left: no number yet', RungReading::of(
            ['right' => [12.0, 11.0], 'left' => []],
            10.0,
            Better::Higher,
        )->why);
    }

    public function test_of_times_less_is_better_and_far_is_over_twice(): void
    {
        self::assertTrue(RungReading::of(['both' => [10.0, 9.5]], 10.0, Better::Lower)->isPassed);
        self::assertTrue(RungReading::of(['both' => [20.1, 21.0]], 10.0, Better::Lower)->isFarBelow);
        self::assertFalse(RungReading::of(['both' => [20.0, 20.0]], 10.0, Better::Lower)->isFarBelow);
    }

    /** @return array<string, array{list<list<float>>, int|null, string}> values a rung, rung, advice */
    public static function ladders(): array
    {
        return [
            'never begun' => [[[], [], []], null, 'begin'],
            'working on the first' => [[[8.0], [], []], 0, 'stay'],
            'one try meets the second: placed on the third' => [[[], [11.0], []], 2, 'up'],
            'the first passed, the second not tried' => [[[10.0, 10.0], [], []], 1, 'up'],
            'the first passed, the second under way' => [[[10.0, 10.0], [7.0, 8.0], []], 1, 'stay'],
            'the second far too hard lately' => [[[10.0, 10.0], [3.0, 4.0], []], 0, 'back'],
            'the first far too hard: there is none lower' => [[[3.0, 4.0], [], []], 0, 'stay'],
            'a rung left out below a passed one' => [[[], [10.0, 10.0], [5.0]], 2, 'stay'],
            'the top passed' => [[[], [], [10.0, 10.0]], null, 'done'],
            'the first passed, a later one met once' => [[[10.0, 10.0], [], [10.0], []], 1, 'up'],
            'the top met once' => [[[], [], [10.0]], 2, 'stay'],
        ];
    }

    /** @param  non-empty-list<list<float>>  $values */
    #[DataProvider('ladders')]
    public function test_a_player_stands_above_the_highest_rung_passed(array $values, ?int $rung, string $advice): void
    {
        $place = LadderPlace::of(
            array_map(fn (array $some): RungReading => RungReading::of(['both' => $some], 10.0, Better::Higher), $values),
        );

        self::assertSame([$rung, $advice], [$place->rung, $place->advice]);
        self::assertNotSame('', $place->why);
    }
}
