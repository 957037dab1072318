<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Ladder;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Ladder\Ladder;
use FleetSparrow\Core\Ladder\Rung;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\TestCase;

/** What must be reached goes by age, by the factor the drill itself names. */
final class RungTest extends TestCase
{
    private const LEVELS = [
        ['ageGroup' => 'U9', 'dose' => 0.5, 'distance' => 0.75, 'target' => 0.7],
        ['ageGroup' => 'U14', 'dose' => 1.5, 'distance' => 1.25, 'target' => 1.25],
    ];

    public function test_more_is_asked_of_the_older_and_less_of_the_younger(): void
    {
        $for = fn (string $age): float => (new Rung('sole-taps', 31.0, []))->forAge(self::drill([]), AgeGroup::of($age))->criterion;
        // 31 × 0.7 = 21.7 and 31 × 1.25 = 38.75; a level reaches the age next to it.
        self::assertSame([22.0, 22.0, 31.0, 39.0, 39.0], array_map($for, ['U8', 'U10', 'U11', 'U13', 'U16']));
        $one = (new Rung('sole-taps', 1.0, []))->forAge(self::drill([]), AgeGroup::of('U8'));
        self::assertSame(1.0, $one->criterion, 'never less than one');
    }

    public function test_the_younger_may_take_longer(): void
    {
        $race = self::drill(['scoring' => ['kind' => 'time-for-work', 'starts' => 'first-touch', 'stops' => 'ball-dead']]);
        $for = fn (string $age): float => (new Rung('sole-taps', 12.0, []))->forAge($race, AgeGroup::of($age))->criterion;
        // 12 ÷ 0.7 = 17.14 and 12 ÷ 1.25 = 9.6.
        self::assertSame([17.1, 12.0, 9.6], array_map($for, ['U9', 'U12', 'U14']));
    }

    public function test_a_ladder_has_each_of_its_rungs_for_that_age(): void
    {
        $ladder = Ladder::fromFields(['slug' => 'two', 'name' => 'Two', 'family' => 'ball-mastery', 'rungs' => [
            ['drill' => 'a', 'criterion' => 10, 'harderBy' => []], ['drill' => 'b', 'criterion' => 20, 'harderBy' => ['travel']],
        ]]);
        $drills = ['a' => self::drill([]), 'b' => DrillFactory::fromFields(['levels' => []] + Drills::fields())];
        $younger = $ladder->forAge($drills, AgeGroup::of('U9'));
        self::assertSame([7.0, 20.0], array_map(fn (Rung $rung): float => $rung->criterion, $younger->rungs));
        self::assertSame(['two', 'travel'], [$younger->slug, $younger->rungs[1]->harderBy[0]->value]);
    }

    /** @param  array<string, mixed>  $change */
    private static function drill(array $change): Drill
    {
        return DrillFactory::fromFields($change + ['levels' => self::LEVELS] + Drills::fields());
    }
}
