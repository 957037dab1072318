<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Dose;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Dose\CollectiveDose;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\FreeDose;
use FleetSparrow\Core\Dose\LengthsDose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Dose\SetsAndRest;
use FleetSparrow\Core\Dose\StreakDose;
use FleetSparrow\Core\Dose\TriesDose;
use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Tests\Turns;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Lengths, running totals, streaks, tries at a target, and free time. */
final class SchoolsTest extends TestCase
{
    use TestTrait;

    public function test_there_and_back_is_twice_one_way(): void
    {
        // Four trips of 10 s, twice, with 20 s between: 2·4·10 + 20 = 100; there and back 2·8·10 + 20 = 180.
        $seconds = fn (bool $andBack): float => Turns::of(LengthsDose::of(4, $andBack, self::pattern(2, 20.0)), [self::pace(10.0)])->mean();

        self::assertEqualsWithDelta(100.0, $seconds(false), 0.02);
        self::assertEqualsWithDelta(180.0, $seconds(true), 0.04);
        self::assertSame(16.0, self::reps(LengthsDose::of(4, true, self::pattern(2)), self::pace(10.0)));
    }

    public function test_a_running_total_where_a_dropped_rep_counts(): void
    {
        // N·s + N·h·r = 100·0.5 + 100·0.1·4 = 90; of the drops the variance is N·h·(1 − h)·r² = 144.
        $time = Turns::of(CollectiveDose::of(100, false, self::pattern()), [self::sure(0.5, 0.9, 4.0)]);

        self::assertEqualsWithDelta(90.0, $time->mean(), 0.4);
        self::assertEqualsWithDelta(sqrt(144.0 + (0.25 * 50.0) ** 2), sqrt($time->variance()), 0.4);
        self::assertEqualsWithDelta(100.0, self::reps(CollectiveDose::of(100, false, self::pattern()), self::pace(0.5)), 1e-9);
    }

    public function test_a_running_total_of_good_ones_is_negative_binomial(): void
    {
        // Drops before 100 good ones at h 0.2: 100·0.2 ÷ 0.8 = 25, each 0.5 + 3.5 s: 50 + 100 = 150. R: mean of rnbinom(1e6, 100, 0.8) is
        // 25.
        $dose = CollectiveDose::of(100, true, self::pattern());

        self::assertEqualsWithDelta(150.0, Turns::of($dose, [self::sure(0.5, 0.8, 3.5)])->mean(), 0.8);
        self::assertEqualsWithDelta(125.0, self::reps($dose, self::sure(0.5, 0.8, 3.5)), 0.3);
    }

    public function test_runs_are_geometric_up_to_their_goal(): void
    {
        // q 0.8: 0.8·(1 − 0.8^3) ÷ 0.2 = 1.952 reps a try; three tries of 1.952·0.5 + 2 s and two rests of 5.
        $dose = StreakDose::of(3, self::pattern(3, 5.0));

        self::assertEqualsWithDelta(3 * 1.952, self::reps($dose, self::sure(0.5, 0.8, 2.0)), 0.02);
        self::assertEqualsWithDelta(3 * (1.952 * 0.5 + 2.0) + 10.0, Turns::of($dose, [self::sure(0.5, 0.8, 2.0)])->mean(), 0.1);
    }

    public function test_until_the_first_hit_at_most_so_many(): void
    {
        // p 0.3, at most 5: (1 − 0.7^5) ÷ 0.3 = 2.77310 balls of 4 s, and 10 s to fetch.
        $time = Turns::of(TriesDose::of(5, true, self::pattern()), [self::sure(4.0, 0.3, 10.0)]);
        self::assertEqualsWithDelta(2.7731 * 4.0 + 10.0, $time->mean(), 0.1);
        self::assertEqualsWithDelta(
            6 * 4.0 + 10.0,
            Turns::of(TriesDose::of(6, false, self::pattern()), [self::sure(4.0, 0.3, 10.0)])->mean(),
            0.1,
        );
    }

    public function test_a_turn_waits_for_who_fetches_longest(): void
    {
        $near = self::sure(1.0, 0.5, 0.0);
        $far = self::sure(1.0, 0.5, 30.0);
        $quota = QuotaDose::of(10, 0.0, DoseSides::Right);
        self::assertGreaterThan(0.99 * Turns::of($quota, [$far])->mean(), Turns::of($quota, [$near, $far])->mean());
        self::assertGreaterThan(0.99 * Turns::of($quota, [$far])->mean(), Turns::of($quota, [$far, $near])->mean());
    }

    public function test_free_time_is_the_clock(): void
    {
        self::assertSame(
            [180.0, 0.0],
            [
                Turns::of(FreeDose::of(3.0, DoseSides::Both), [self::pace(1.0)])->mean(),
                Turns::of(FreeDose::of(3.0, DoseSides::Both), [self::pace(1.0)])->variance(),
            ],
        );
        self::assertSame(180.0, FreeDose::of(3.0, DoseSides::Both)->clockedSetSeconds());
    }

    public function test_streaks_and_tries_are_what_playing_them_out_gives(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $good = fn (float $chance): bool => $random->getInt(1, 1_000_000) <= $chance * 1_000_000;
        foreach ([[0.9, 20], [0.5, 4]] as [$chance, $goal]) {
            $played = 0;
            for ($i = 0; $i < 20_000; $i++) {
                for ($run = 0; $run < $goal && $good($chance); $run++) {
                    $played++;
                }
            }
            self::assertEqualsWithDelta(
                $played / 20_000,
                self::reps(StreakDose::of($goal, self::pattern()), self::sure(1.0, $chance, 0.0)),
                0.05 * $goal ** 0.5,
            );
            $played = 0;
            for ($i = 0; $i < 20_000; $i++) {
                for ($ball = 1; $ball < $goal && ! $good($chance); $ball++) {
                    $played++;
                }
                $played++;
            }
            self::assertEqualsWithDelta(
                $played / 20_000,
                self::reps(TriesDose::of($goal, true, self::pattern()), self::sure(1.0, $chance, 0.0)),
                0.05,
            );
        }
    }

    public function test_more_workers_never_end_sooner_and_a_better_player_never_needs_longer(): void
    {
        $this->limitTo(25)->forAll(
            Generators::choose(1, 8),
            Generators::choose(30, 90),
            Generators::choose(1, 12),
        )->then(function (int $workers, int $percent, int $number): void {
            $pace = self::pace(2.0, $percent / 100, 4.0);
            foreach ([
                LengthsDose::of($number, true, self::pattern(2, 10.0)),
                CollectiveDose::of(10 * $number, true, self::pattern()),
                StreakDose::of(5 * $number, self::pattern(3)),
                TriesDose::of($number, true, self::pattern()),
            ] as $dose) {
                $time = Turns::of($dose, array_fill(0, max(1, $workers), $pace));
                self::assertTrue(is_finite($time->mean()) && $time->mean() > 0 && $time->variance() >= 0);
                self::assertGreaterThanOrEqual(0.995 * $time->mean(), Turns::of($dose, array_fill(0, $workers + 1, $pace))->mean());
            }
            $better = self::pace(2.0, min(1.0, $percent / 100 + 0.05), 4.0);
            foreach ([CollectiveDose::of(50, true, self::pattern()), TriesDose::of(10, true, self::pattern())] as $dose) {
                self::assertLessThanOrEqual(Turns::of($dose, [$pace])->mean(), Turns::of($dose, [$better])->mean());
            }
        });
    }

    /** @return array<string, array{array<string, mixed>}> */
    public static function doses(): array
    {
        $pattern = ['sets' => 2, 'restSeconds' => 20.0, 'sides' => 'each'];

        return [
            'lengths' => [['kind' => 'lengths', 'lengths' => 4, 'andBack' => 1] + $pattern],
            'lengths one way' => [['kind' => 'lengths', 'lengths' => 4, 'andBack' => 0] + $pattern],
            'collective' => [['kind' => 'collective', 'total' => 100, 'onlyGood' => 0] + $pattern],
            'streak' => [['kind' => 'streak', 'goal' => 50] + $pattern],
            'tries' => [['kind' => 'tries', 'balls' => 6, 'untilHit' => 1] + $pattern],
            'free' => [['kind' => 'free', 'minutes' => 3.0, 'sides' => 'both']],
        ];
    }

    /** @param  array<string, mixed>  $fields */
    #[DataProvider('doses')]
    public function test_fields_come_back_as_they_were(array $fields): void
    {
        self::assertEquals($fields, DoseKinds::standard()->read($fields)->fields());
        self::assertSame($fields['kind'], DoseKinds::standard()->read($fields)->kind());
        // Sets and rest are no part of the task; its numbers are.
        self::assertSame([], array_intersect(array_keys(DoseKinds::standard()->read($fields)->window()), ['sets', 'restSeconds', 'sides']));
    }

    /** @return array<string, array{array<string, mixed>}> */
    public static function absurd(): array
    {
        return [
            'no lengths' => [['lengths' => 0] + self::doses()['lengths'][0]],
            'a hundred and one lengths' => [['lengths' => 101] + self::doses()['lengths'][0]],
            'neither yes nor no' => [['andBack' => 'perhaps'] + self::doses()['lengths'][0]],
            'a total of four' => [['total' => 4] + self::doses()['collective'][0]],
            'a goal of nought' => [['goal' => 0] + self::doses()['streak'][0]],
            'fifty-one balls' => [['balls' => 51] + self::doses()['tries'][0]],
            'no sets' => [['sets' => 0] + self::doses()['tries'][0]],
            'a rest of eleven minutes' => [['restSeconds' => 660] + self::doses()['streak'][0]],
            'free for an hour' => [['minutes' => 60] + self::doses()['free'][0]],
            'free for not a number' => [['minutes' => NAN] + self::doses()['free'][0]],
        ];
    }

    /** @param  array<string, mixed>  $fields */
    #[DataProvider('absurd')]
    public function test_absurd_doses_are_refused(array $fields): void
    {
        $this->expectException(InvalidDose::class);
        DoseKinds::standard()->read($fields);
    }

    private static function reps(Dose $dose, Pace $pace): float
    {
        return $dose->played($pace, null, new Memo)->reps;
    }

    private static function pattern(int $sets = 1, float $rest = 0.0): SetsAndRest
    {
        return SetsAndRest::of($sets, $rest, DoseSides::Right);
    }

    private static function pace(float $seconds, float $chance = 0.8, float $fetch = 0.0): Pace
    {
        return Pace::of($seconds, $chance, $fetch);
    }

    /** A chance all but known. */
    private static function sure(float $seconds, float $chance, float $fetch): Pace
    {
        return self::pace($seconds, $chance, $fetch)->withTries((int) round(1e7 * $chance), (int) round(1e7 * (1 - $chance)));
    }
}
