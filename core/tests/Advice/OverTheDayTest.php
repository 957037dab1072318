<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Advice;

use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Earlier;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\HeadingTime;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Cautions that are read over the whole day, at both sides of their limit over two blocks. */
final class OverTheDayTest extends TestCase
{
    /** @return iterable<string, array{string, HeadingProfile, list<array<string, mixed>>, list<bool>}> */
    public static function headers(): iterable
    {
        $fa = HeadingProfile::TheFa2020;
        yield 'three and two are five at U13' => ['U13', $fa, [self::reps(3), self::reps(2)], [false, false]];
        yield 'three and three are six at U13' => ['U13', $fa, [self::reps(3), self::reps(3)], [false, true]];
        yield 'two sets of three are six' => ['U13', $fa, [self::reps(3, 2)], [true]];
        yield 'both sides of three are six' => ['U13', $fa, [['sides' => 'each'] + self::reps(3)], [true]];
        yield 'five, and one later' => ['U13', $fa, [self::reps(5), self::reps(1)], [false, true]];
        yield 'ten at U15' => ['U15', $fa, [self::reps(5), self::reps(5)], [false, false]];
        yield 'eleven at U15' => ['U15', $fa, [self::reps(5), self::reps(6)], [false, true]];
        $total = ['kind' => 'collective', 'total' => 25, 'onlyGood' => false, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'both'];
        yield 'a total of 25' => ['U15', $fa, [$total], [true]];
        $us = HeadingProfile::UsSoccer2016;
        yield 'fifteen in two blocks, U.S. Soccer' => ['U13', $us, [self::reps(8), self::reps(7)], [false, false]];
        yield 'sixteen in two blocks' => ['U13', $us, [self::reps(8), self::reps(8)], [false, true]];
    }

    /**
     * @param  list<array<string, mixed>>  $doses
     * @param  list<bool>  $barred
     */
    #[DataProvider('headers')]
    public function test_headers_are_added_up_over_blocks_sets_and_totals(
        string $age,
        HeadingProfile $profile,
        array $doses,
        array $barred,
    ): void {
        $blocks = array_map(fn (array $dose): Block => self::block(self::header(), $dose), $doses);

        self::assertSame($barred, self::barred($blocks, $profile, $age));
    }

    public function test_headers_of_a_circuit_are_those_of_all_its_items_and_rounds(): void
    {
        $item = [
            'name' => 'Head it back',
            'script' => '*throw -.head^!pass *catch',
            'secondsPerRep' => 4,
            'dose' => ['kind' => 'reps', 'reps' => 1, 'sides' => 'both'],
        ];
        $drill = self::drill(['script' => null, 'circuit' => [$item, $item]]);
        $rounds = fn (int $rounds): Block => self::block($drill, ['kind' => 'circuit', 'rounds' => $rounds, 'restSeconds' => 0]);
        // Two items: two headers a round. Two rounds and three are four and six.
        self::assertSame([[false], [true]], [
            self::barred([$rounds(2)], HeadingProfile::TheFa2020, 'U13'), self::barred([$rounds(3)], HeadingProfile::TheFa2020, 'U13'),
        ]);
        self::assertSame([false, true], self::barred([$rounds(2), $rounds(1)], HeadingProfile::TheFa2020, 'U13'));
    }

    public function test_thirty_minutes_of_heading_a_week(): void
    {
        // Twenty minutes with a header every two; eight or eleven minutes were headed in the last seven days.
        $slow = self::drill(['secondsPerRep' => 120]);
        $dose = ['kind' => 'timed', 'workSeconds' => 1200, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'both'];
        $barred = fn (Earlier $earlier): array => self::barred(
            [self::block($slow, $dose)],
            HeadingProfile::UsSoccer2016,
            'U13',
            new SeasonPast(headingMinutes: [1 => [$earlier]]),
        );
        self::assertSame([[false], [true], [false]], [
            $barred(new Earlier(6, 8.0)), $barred(new Earlier(6, 11.0)), $barred(new Earlier(7, 11.0)),
        ]);
        $worked = self::evaluate([self::block($slow, $dose)], HeadingProfile::UsSoccer2016, 'U13')[0];
        self::assertSame(20.0, HeadingTime::of([$worked])->minutes[1]);
    }

    /** @return iterable<string, array{list<array{string, float}>, list<list<string>>}> */
    public static function work(): iterable
    {
        $twenty = 'minutes of work in one: stop for water after 20 of them.';
        yield 'ten and ten' => [[['drill', 10.0], ['game', 10.0]], [[], []]];
        yield 'ten and eleven' => [[['drill', 10.0], ['game', 11.0]], [[], ['21 minutes of work without water by the end of it.']]];
        yield 'with water between' => [[['drill', 15.0], ['water', 2.0], ['drill', 15.0]], [[], [], []]];
        yield 'talk is no work and no water' => [
            [['drill', 15.0], ['talk', 5.0], ['drill', 6.0]],
            [[], [], ['21 minutes of work without water by the end of it.']],
        ];
        yield 'twenty in one' => [[['drill', 20.0]], [[]]];
        yield 'one long block' => [[['drill', 25.0]], [["25 {$twenty}"]]];
        yield 'one long block after another' => [
            [['drill', 5.0], ['game', 25.0]],
            [[], ['30 minutes of work without water by the end of it.', "25 {$twenty}"]],
        ];
    }

    /**
     * @param  list<array{string, float}>  $blocks  kind and minutes
     * @param  list<list<string>>  $said
     */
    #[DataProvider('work')]
    public function test_water_goes_by_minutes_of_work_wherever_they_fall(array $blocks, array $said): void
    {
        $free = fn (float $minutes): array => ['kind' => 'free', 'minutes' => $minutes, 'sides' => 'both'];
        $plan = array_map(fn (array $one): Block => $one[0] === 'drill'
            ? self::block(Drills::soleTaps(), $free($one[1]))
            : Block::ofMinutes(uniqid(), BlockKind::from($one[0]), $one[1]), $blocks);
        self::assertSame($said, array_map(fn (BlockEvaluation $block): array => array_values(array_map(
            fn (Warning $one): string => $one->sentence,
            array_filter($block->warnings, fn (Warning $one): bool => $one->code === 'water'),
        )), self::evaluate($plan, HeadingProfile::TheFa2020, 'U13')));
    }

    private static function header(): Drill
    {
        return self::drill([]);
    }

    /** @param  array<string, mixed>  $change */
    private static function drill(array $change): Drill
    {
        $header = ['script' => '*throw -.head^!pass *catch', 'secondsPerRep' => 4, 'dose' => null, 'scoring' => null];

        return DrillFactory::fromFields(array_filter(
            $change + $header + Drills::fields(),
            fn (mixed $field): bool => $field !== null,
        ));
    }

    /** @return array<string, mixed> */
    private static function reps(int $reps, int $sets = 1): array
    {
        return ['kind' => 'reps', 'reps' => $reps, 'sets' => $sets, 'restSeconds' => 0, 'sides' => 'both'];
    }

    /** @param  array<string, mixed>  $dose */
    private static function block(Drill $drill, array $dose): Block
    {
        return Block::ofDrill(uniqid(), $drill, $drill->doseFrom($dose), Tempo::Steady, null);
    }

    /**
     * @param  list<Block>  $blocks
     * @return list<bool> whether heading is barred at each
     */
    private static function barred(array $blocks, HeadingProfile $profile, string $age, SeasonPast $past = new SeasonPast): array
    {
        return array_map(
            fn (BlockEvaluation $block): bool => array_filter(
                $block->warnings,
                fn (Warning $one): bool => $one->code === 'heading' && $one->isBarred,
            ) !== [],
            self::evaluate($blocks, $profile, $age, $past),
        );
    }

    /**
     * @param  list<Block>  $blocks
     * @return list<BlockEvaluation>
     */
    private static function evaluate(array $blocks, HeadingProfile $profile, string $age, SeasonPast $past = new SeasonPast): array
    {
        return PlanEvaluator::evaluate($blocks, PlanContext::of(
            players: [new PlanPlayer(1, StrongFoot::Right), new PlanPlayer(2, StrongFoot::Left)],
            knownDrills: [],
            rules: new ClockRules,
            heading: $profile->limitFor(AgeGroup::of($age)),
            past: $past,
        ))->blocks;
    }
}
