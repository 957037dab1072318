<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Drill;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\AgeDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use PHPUnit\Framework\TestCase;

final class AgeDoseTest extends TestCase
{
    public function test_the_younger_of_two_ages_have_a_dose_of_their_own(): void
    {
        // 30 s planned for the twelve-year-olds; a factor of 0.75 for U9 reaches U10 and makes 22.5 s, in whole fives 25 s.
        $ages = AgeGroup::of('U12')->ofPlayers([1 => 2014, 2 => 2014, 3 => 2016, 4 => 2014]);
        $others = self::others($ages);

        self::assertCount(1, $others);
        self::assertSame(['U10', [3]], [$others[0]->ageGroup->name(), $others[0]->players]);
        self::assertSame(25.0, $others[0]->dose->fields()['workSeconds']);
    }

    public function test_the_planned_dose_is_that_of_most(): void
    {
        // Two of nine years and one of twelve: 6 reps are the younger ones', and the older one has 6 ÷ 0.75 = 8.
        $others = self::others(AgeGroup::of('U9')->ofPlayers([1 => 2017, 2 => 2017, 3 => 2014]), self::reps());

        self::assertSame(['U12', [3]], [$others[0]->ageGroup->name(), $others[0]->players]);
        self::assertSame(8, $others[0]->dose->fields()['reps']);
    }

    public function test_nobody_works_on_when_the_clock_has_stopped_the_others(): void
    {
        // 30 s for two of nine years would be 40 s for one of twelve, who stops with them all the same.
        self::assertSame([], self::others(AgeGroup::of('U9')->ofPlayers([1 => 2017, 2 => 2017, 3 => 2014])));
    }

    public function test_where_numbers_are_written_everybody_has_the_same_task(): void
    {
        $ages = AgeGroup::of('U12')->ofPlayers([1 => 2014, 2 => 2014, 3 => 2016]);
        foreach ([self::planned(), self::reps()] as $dose) {
            self::assertCount(1, self::others($ages, $dose));
            self::assertSame([], self::others($ages, $dose, isWrittenDown: true));
        }
    }

    public function test_a_plan_says_it_only_of_a_block_that_owes_no_number(): void
    {
        $players = array_map(
            static fn (int $id, string $age): PlanPlayer => new PlanPlayer($id, StrongFoot::Right, age: AgeGroup::of($age)),
            [1, 2],
            ['U12', 'U9'],
        );
        [$free, $written] = array_map(static fn (Drill $drill): BlockEvaluation => PlanEvaluator::evaluate(
            [Block::ofDrill('a', $drill, self::planned(), Tempo::Steady, null)],
            PlanContext::of(players: $players, knownDrills: [], rules: new ClockRules),
        )->blocks[0], [self::drill(['scoring' => null]), self::drill()]);

        self::assertSame([[2]], array_map(static fn (AgeDose $one): array => $one->players, $free->ages));
        self::assertContains('Times and touches go by the planned dose, those of another age with it.', $free->how);
        self::assertNotSame([], $written->owed);
        self::assertSame([], $written->ages);
    }

    public function test_nobody_has_another_where_the_drill_or_the_ages_say_nothing(): void
    {
        $ages = AgeGroup::of('U12')->ofPlayers([1 => 2014, 2 => 2013, 3 => 2014]);
        self::assertSame([], self::others($ages));
        self::assertSame([], self::others([]));
        self::assertSame([], AgeDose::of(
            Drills::soleTaps(),
            self::planned(),
            AgeGroup::of('U12')->ofPlayers([1 => 2014, 2 => 2017]),
            isWrittenDown: false,
        ));
    }

    public function test_of_two_years_with_as_many_the_older_is_the_squad_s(): void
    {
        $ages = AgeGroup::of('U12')->ofPlayers([1 => 2015, 2 => 2014, 3 => 2000, 4 => 2014, 5 => 2015]);
        self::assertSame(
            ['U11', 'U12', 'U18', 'U12', 'U11'],
            array_map(static fn (AgeGroup $one): string => $one->name(), array_values($ages)),
        );
    }

    /** @param  array<string, mixed>  $fields */
    private static function drill(array $fields = []): Drill
    {
        return DrillFactory::fromFields(
            $fields + ['levels' => [['ageGroup' => 'U9', 'dose' => 0.75, 'distance' => 0.8, 'target' => 0.7]]] + Drills::fields(),
        );
    }

    /**
     * @param  array<int, AgeGroup>  $ages
     * @return list<AgeDose>
     */
    private static function others(array $ages, ?Dose $dose = null, bool $isWrittenDown = false): array
    {
        return AgeDose::of(self::drill(), $dose ?? self::planned(), $ages, $isWrittenDown);
    }

    private static function planned(): Dose
    {
        return self::drill()->doseFrom(null);
    }

    private static function reps(): Dose
    {
        return self::drill()->doseFrom(['kind' => 'reps', 'reps' => 6, 'sets' => 2, 'restSeconds' => 20, 'sides' => 'each']);
    }
}
