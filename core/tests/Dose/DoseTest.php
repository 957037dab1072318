<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Dose;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Dose\DoseField;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Dose\RaceDose;
use FleetSparrow\Core\Dose\RepsDose;
use FleetSparrow\Core\Dose\TimedDose;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Turns;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DoseTest extends TestCase
{
    use TestTrait;

    public function test_timed_is_exact_with_no_rest_after_the_last_set(): void
    {
        // 2 sides × 3 sets × 30 s and five rests of 15 s between them: 180 + 75.
        $time = Turns::of(TimedDose::of(30.0, 3, 15.0, DoseSides::Each), [self::pace()]);

        self::assertSame([255.0, 0.0], [$time->mean(), $time->variance()]);
    }

    public function test_reps_follow_the_rule(): void
    {
        // sides·sets·n·s + (sides·sets − 1)·rest = 2·2·10·3 + 3·20 = 180, give or take a quarter of the 120 s of work.
        $time = Turns::of(RepsDose::of(10, 2, 20.0, DoseSides::Each), [self::pace(3.0)]);

        self::assertEqualsWithDelta([180.0, 30.0], [$time->mean(), sqrt($time->variance())], 0.25);
        // "10 in total" with the feet taking turns is half of "10 each side": 2·10·3 + 20 = 80.
        self::assertEqualsWithDelta(80.0, Turns::of(RepsDose::of(10, 2, 20.0, DoseSides::Alternating), [self::pace(3.0)])->mean(), 1e-9);
    }

    public function test_quota_without_marks_rests_on_the_drills_chance(): void
    {
        // Beta(6, 4): E[misses] = n·β ÷ (α − 1) = 10·4 ÷ 5 = 8, so 40 + 8·10 s. (Johnson, Kemp and Kotz, 6.2.2.)
        $time = Turns::of(QuotaDose::of(10, 0.0, DoseSides::Right), [self::pace(4.0, 0.6, 6.0)]);

        self::assertEqualsWithDelta(120.0, $time->mean(), 1.0);
    }

    public function test_many_marks_bring_the_quota_to_the_plain_negative_binomial(): void
    {
        // p 0.6 all but known: 40 + 10·(10·0.4 ÷ 0.6) = 106.67 s for one. The slowest of seven took 155.7 s if all had the same pace; with
        // a pace of their own it is longer, and no longer than if all were as slow as the slowest (1.37 times, see StatisticsTest).
        $sure = self::pace(4.0, 0.6, 6.0)->withTries(600_000, 400_000);
        $dose = QuotaDose::of(10, 0.0, DoseSides::Right);

        self::assertEqualsWithDelta(106.67, Turns::of($dose, [$sure])->mean(), 0.3);
        $seven = Turns::of($dose, array_fill(0, 7, $sure))->mean();
        self::assertTrue($seven > 155.7 && $seven < 155.7 * 1.37);
    }

    public function test_a_player_with_nought_of_three_has_a_finite_time(): void
    {
        $mean = Turns::of(QuotaDose::of(10, 0.0, DoseSides::Right), [self::pace(4.0, 0.6, 6.0)->withTries(0, 3)])->mean();

        // Beta(6, 7): 10·7 ÷ 5 = 14 misses, 40 + 140 s; the tail beyond 3,000 misses is left out.
        self::assertEqualsWithDelta(180.0, $mean, 2.0);
    }

    public function test_race_ends_each_go_with_the_slowest(): void
    {
        $dose = RaceDose::of(1, 3, 25.0, DoseSides::Right);

        // Alone: three goes of 10 s and two rests of 25 s.
        self::assertEqualsWithDelta(80.0, Turns::of($dose, [self::pace(10.0)])->mean(), 1e-9);
        // Seven side by side, each with a pace that stays: 1.3699 times 30 s (R, see StatisticsTest).
        self::assertEqualsWithDelta(30 * 1.3699 + 50, Turns::of($dose, array_fill(0, 7, self::pace(10.0)))->mean(), 0.1);
    }

    public function test_one_more_worker_never_makes_a_turn_shorter(): void
    {
        $this->limitTo(25)->forAll(
            Generators::choose(1, 14),
            Generators::choose(5, 95),
            Generators::choose(1, 20),
        )->then(function (int $workers, int $percent, int $good): void {
            $pace = self::pace(4.0, $percent / 100, 6.0);
            foreach ([QuotaDose::of($good, 10.0, DoseSides::Each), RaceDose::of($good, 2, 10.0, DoseSides::Each)] as $dose) {
                $fewer = Turns::of($dose, array_fill(0, $workers, $pace))->mean();
                $more = Turns::of($dose, array_fill(0, $workers + 1, $pace))->mean();
                self::assertTrue(is_finite($more) && $more >= 0.995 * $fewer);
            }
        });
    }

    public function test_a_better_chance_never_takes_longer(): void
    {
        $this->limitTo(25)->forAll(Generators::choose(5, 99), Generators::choose(1, 30))->then(function (int $percent, int $good): void {
            $dose = QuotaDose::of($good, 0.0, DoseSides::Right);
            $worse = Turns::of($dose, [self::pace(4.0, $percent / 100, 6.0)])->mean();
            $better = Turns::of($dose, [self::pace(4.0, ($percent + 1) / 100, 6.0)])->mean();
            self::assertLessThanOrEqual(1.005 * $worse, $better);
        });
    }

    public function test_sides_name_feet_for_each_player(): void
    {
        self::assertSame([Side::Right, Side::Left], DoseSides::Each->sidesFor(StrongFoot::Left));
        self::assertSame([Side::Left], DoseSides::Weaker->sidesFor(StrongFoot::Right));
        self::assertSame([Side::Right], DoseSides::Weaker->sidesFor(StrongFoot::Left));
        self::assertSame([Side::Left], DoseSides::Strong->sidesFor(StrongFoot::Left));
        self::assertSame([Side::Alternating], DoseSides::Alternating->sidesFor(StrongFoot::Both));
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function impossible(): array
    {
        $timed = ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 15, 'sides' => 'each'];

        return [
            'negative work' => [['workSeconds' => -30] + $timed, 'dose.workSeconds'],
            'work just too short' => [['workSeconds' => 4.9] + $timed, 'dose.workSeconds'],
            'an hour of work' => [['workSeconds' => 3600] + $timed, 'dose.workSeconds'],
            'endless work' => [['workSeconds' => INF] + $timed, 'dose.workSeconds'],
            'work in words' => [['workSeconds' => 'thirty'] + $timed, 'dose.workSeconds'],
            'no sets' => [['sets' => 0] + $timed, 'dose.sets'],
            '21 sets' => [['sets' => 21] + $timed, 'dose.sets'],
            'half a set' => [['sets' => 1.5] + $timed, 'dose.sets'],
            'negative rest' => [['restSeconds' => -1] + $timed, 'dose.restSeconds'],
            'no feet' => [['sides' => ''] + $timed, 'dose.sides'],
            'three feet' => [['sides' => 'three'] + $timed, 'dose.sides'],
            'another kind' => [['kind' => 'until tired'] + $timed, 'dose.kind'],
            'nothing' => [[], 'dose.kind'],
            '501 reps' => [['kind' => 'reps', 'reps' => 501, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'each'], 'dose.reps'],
            'no good ones' => [['kind' => 'quota', 'good' => 0, 'restSeconds' => 0, 'sides' => 'each'], 'dose.good'],
        ];
    }

    public function test_what_each_dose_asks_for(): void
    {
        $said = [];
        foreach ([...DoseKinds::standard()->declared(), CircuitDose::declared()] as $dose) {
            $fields = array_map(
                fn (DoseField $one): string => trim("{$one->name} {$one->least}-{$one->most} {$one->start}"),
                array_filter($dose->fields, fn (DoseField $one): bool => $one->name !== 'sides'),
            );
            $said[] = "{$dose->kind}, by {$dose->sizedBy}: ".implode(', ', $fields);
        }
        self::assertSame([
            'timed, by sets: workSeconds 5-1800 30, sets 1-20 2, restSeconds 0-600 20',
            'reps, by sets: reps 1-500 10, sets 1-20 2, restSeconds 0-600 20',
            'lengths, by sets: lengths 1-100 4, andBack 0-1 1, tempos 0-0, sets 1-20 2, restSeconds 0-600 20',
            'quota, by good: good 1-100 10, restSeconds 0-600 15, limitSeconds 0-3600',
            'collective, by sets: total 5-2000 100, onlyGood 0-1 0, sets 1-20 1, restSeconds 0-600 0, limitSeconds 0-3600',
            'streak, by sets: goal 1-1000 50, sets 1-20 3, restSeconds 0-600 10, limitSeconds 0-3600',
            'race, by sets: reps 1-200 1, sets 1-20 3, restSeconds 0-600 25',
            'tries, by sets: balls 1-50 5, untilHit 0-1 1, sets 1-20 2, restSeconds 0-600 20',
            'free, by minutes: minutes 0.5-30 3',
            'circuit, by rounds: rounds 1-20 1, restSeconds 0-600 0, goesBy 0-0',
        ], $said);
    }

    /** @param  array<string, mixed>  $fields */
    #[DataProvider('impossible')]
    public function test_refuses_what_cannot_be_carried_out_and_names_the_field(array $fields, string $path): void
    {
        try {
            DoseKinds::standard()->read($fields);
            self::fail('The dose was taken.');
        } catch (InvalidDose $refusal) {
            self::assertSame(['dose', $path], [$refusal->reason(), $refusal->path()]);
        }
    }

    public function test_limits_themselves_are_doses(): void
    {
        foreach ([5, 1800] as $seconds) {
            self::assertSame(
                (float) $seconds,
                DoseKinds::standard()->read(
                    ['kind' => 'timed', 'workSeconds' => $seconds, 'sets' => 20, 'restSeconds' => 600, 'sides' => 'each'],
                )->clockedSetSeconds(),
            );
        }
    }

    public function test_fields_build_the_same_dose_again(): void
    {
        foreach ([
            TimedDose::of(30.0, 2, 15.0, DoseSides::Each),
            RepsDose::of(10, 2, 0.0, DoseSides::Left),
            QuotaDose::of(10, 15.0, DoseSides::Each),
            RaceDose::of(1, 3, 25.0, DoseSides::Both),
        ] as $dose) {
            self::assertEquals($dose, DoseKinds::standard()->read($dose->fields()));
        }
    }

    private static function pace(float $seconds = 1.0, float $chance = 0.8, float $fetch = 5.0): Pace
    {
        return Pace::of($seconds, $chance, $fetch);
    }
}
