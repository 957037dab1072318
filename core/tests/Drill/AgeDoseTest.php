<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Drill;

use FleetSparrow\Core\Drill\AgeDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\TestCase;

final class AgeDoseTest extends TestCase
{
    public function test_the_younger_of_two_ages_have_a_dose_of_their_own(): void
    {
        // 30 s planned for the twelve-year-olds; a factor of 0.75 for U9 reaches U10 and makes 22.5 s, in whole fives 25 s.
        $ages = AgeGroup::of('U12')->ofPlayers([1 => 2014, 2 => 2014, 3 => 2016, 4 => 2014]);
        $others = AgeDose::of(self::drill(), self::planned(), $ages);

        self::assertCount(1, $others);
        self::assertSame(['U10', [3]], [$others[0]->ageGroup->name(), $others[0]->players]);
        self::assertSame(25.0, $others[0]->dose->fields()['workSeconds']);
    }

    public function test_the_planned_dose_is_that_of_most(): void
    {
        // Two of nine years and one of twelve: 30 s are the younger ones', and the older one has 30 ÷ 0.75 = 40 s.
        $others = AgeDose::of(self::drill(), self::planned(), AgeGroup::of('U9')->ofPlayers([1 => 2017, 2 => 2017, 3 => 2014]));

        self::assertSame(['U12', [3]], [$others[0]->ageGroup->name(), $others[0]->players]);
        self::assertSame(40.0, $others[0]->dose->fields()['workSeconds']);
    }

    public function test_nobody_has_another_where_the_drill_or_the_ages_say_nothing(): void
    {
        $ages = AgeGroup::of('U12')->ofPlayers([1 => 2014, 2 => 2013, 3 => 2014]);
        self::assertSame([], AgeDose::of(self::drill(), self::planned(), $ages));
        self::assertSame([], AgeDose::of(self::drill(), self::planned(), []));
        self::assertSame([], AgeDose::of(Drills::soleTaps(), self::planned(), AgeGroup::of('U12')->ofPlayers([1 => 2014, 2 => 2017])));
    }

    public function test_of_two_years_with_as_many_the_older_is_the_squad_s(): void
    {
        $ages = AgeGroup::of('U12')->ofPlayers([1 => 2015, 2 => 2014, 3 => 2000, 4 => 2014, 5 => 2015]);
        self::assertSame(
            ['U11', 'U12', 'U18', 'U12', 'U11'],
            array_map(static fn (AgeGroup $one): string => $one->name(), array_values($ages)),
        );
    }

    private static function drill(): Drill
    {
        return DrillFactory::fromFields(
            ['levels' => [['ageGroup' => 'U9', 'dose' => 0.75, 'distance' => 0.8, 'target' => 0.7]]] + Drills::fields(),
        );
    }

    private static function planned(): \FleetSparrow\Core\Dose\Dose
    {
        return self::drill()->doseFrom(null);
    }
}
