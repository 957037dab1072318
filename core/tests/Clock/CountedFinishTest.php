<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Clock;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Clock\CountedFinish;
use FleetSparrow\Core\Dose\CountedTime;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Statistics\CountDistribution;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CountedFinishTest extends TestCase
{
    public function test_with_nothing_judged_it_is_the_distribution_itself(): void
    {
        // Ten good ones at 4 s with 6 s to fetch. R: 40 + 10 * qnbinom(c(.05, .5, .8, .95), 10, .6) gives 60, 100, 130, 170.
        $finish = CountedFinish::of(
            DurationEstimate::fixed(0.0),
            CountedTime::of(40.0, 10.0, CountDistribution::negativeBinomial(10, 0.6)),
        );

        foreach ([[0.05, 60.0], [0.5, 100.0], [0.8, 130.0], [0.95, 170.0]] as [$share, $seconds]) {
            self::assertEqualsWithDelta($seconds, $finish->secondsReachedBy($share), 0.1);
        }
        // R: pnbinom(c(5, 6), 10, .6)
        self::assertEqualsWithDelta([0.403215550415, 0.527174113591], array_map($finish->chanceWithin(...), [99.9, 100.0]), 1e-9);
    }

    public function test_judged_time_lies_over_the_count(): void
    {
        // One miss in two costs a minute; 100 s are judged, give or take 10: half are over by the end of the first hump.
        $even = CountedTime::of(0.0, 60.0, CountDistribution::negativeBinomial(1, 0.5));
        $finish = CountedFinish::of(DurationEstimate::ofMoments(100.0, 100.0, 0.0), $even);

        self::assertEqualsWithDelta(0.25, $finish->chanceWithin(100.0), 1e-3);
        self::assertEqualsWithDelta(0.5, $finish->chanceWithin(132.0), 0.02);
        self::assertEqualsWithDelta(0.625, $finish->chanceWithin(160.0), 2e-3);
        self::assertEqualsWithDelta(100.0, $finish->secondsReachedBy(0.25), 1.0);
    }

    public function test_sides_and_turns_are_separate_waits_and_rests_lie_between_sides_only(): void
    {
        $pace = Pace::of(4.0, 0.6, 6.0);
        $work = CountedFinish::tryWork(QuotaDose::of(10, 20.0, DoseSides::Each), [[$pace, $pace], [$pace]]);

        self::assertNotNull($work);
        self::assertSame(4 * 40.0 + 2 * 20.0, $work->fixedSeconds);
        $two = CountDistribution::betaNegativeBinomial(10, 6.0, 4.0)->largestOfSame(2)->mean();
        $one = CountDistribution::betaNegativeBinomial(10, 6.0, 4.0)->mean();
        self::assertEqualsWithDelta(2 * $two + 2 * $one, $work->misses->mean(), 0.05);
    }

    public function test_many_waits_or_unlike_ones_are_left_to_the_three_moments(): void
    {
        $pace = Pace::of(4.0, 0.6, 6.0);
        $dose = QuotaDose::of(10, 20.0, DoseSides::Each);

        self::assertNotNull(CountedFinish::tryWork($dose, array_fill(0, 4, [$pace])));
        self::assertNull(CountedFinish::tryWork($dose, array_fill(0, 5, [$pace])));
        self::assertNull(CountedFinish::tryWork($dose, [[$pace], [$pace->withSecondsPerRep(5.0)]]));
        self::assertNull(CountedFinish::tryWork($dose, []));
    }

    /** @return iterable<string, array{int, int, int, float}> players, stations, good ones, chance */
    public static function blocks(): iterable
    {
        yield 'one player' => [1, 1, 10, 0.6];
        yield 'three side by side' => [3, 3, 5, 0.5];
        yield 'seven in two turns' => [7, 4, 8, 0.7];
        yield 'six in three turns' => [6, 2, 12, 0.8];
    }

    #[DataProvider('blocks')]
    public function test_a_block_played_out_ends_when_it_is_said_to(int $players, int $stations, int $good, float $chance): void
    {
        $drill = DrillFactory::fromFields(['secondsPerRep' => 4.0, 'goodChance' => $chance, 'fetchSeconds' => 6.0] + Drills::fields());
        $people = array_map(fn (int $i): PlanPlayer => new PlanPlayer($i, StrongFoot::Right), range(1, $players));
        $block = PlanEvaluator::evaluate(
            [Block::ofDrill('a', $drill, QuotaDose::of($good, 20.0, DoseSides::Each), Tempo::Steady, $stations)],
            PlanContext::of($people, [], new ClockRules),
        )->blocks[0];
        mt_srand(7);
        $ends = [];
        for ($time = 0; $time < 4000; $time++) {
            // Judged parts by their own sum: gamma with the variance of the four, stretched by one log-normal overrun.
            $judged = self::gamma(
                $block->judged->meanSeconds,
                sqrt($block->judged->variance),
            ) * exp(0.0997513 * self::normal() - 0.0049751);
            for ($left = $players; $left > 0; $left -= $stations) {
                for ($side = 0; $side < 2; $side++) {
                    $slowest = max(array_map(fn (int $i): int => self::misses($good, $chance), range(1, min($stations, $left))));
                    $judged += $good * 4.0 + $slowest * 10.0 + ($side === 0 ? 20.0 : 0.0);
                }
            }
            $ends[] = $judged;
        }
        sort($ends);

        foreach ([0.5, 0.8] as $share) {
            $by = $block->secondsReachedBy($share, 0.1);
            self::assertEqualsWithDelta($share, count(array_filter($ends, fn (float $end): bool => $end <= $by)) / 4000, 0.025);
        }
    }

    /** The 6th of 9 uniforms is Beta(6, 4) where the chance is 0.6 weighed as ten tries, and so on; then try by try. */
    private static function misses(int $good, float $chance): int
    {
        $draws = array_map(fn (int $i): float => mt_rand() / mt_getrandmax(), range(1, 9));
        sort($draws);
        $own = $draws[(int) round(10 * $chance) - 1];
        [$made, $missed] = [0, 0];
        while ($made < $good) {
            mt_rand() / mt_getrandmax() < $own ? $made++ : $missed++;
        }

        return $missed;
    }

    /** Marsaglia and Tsang 2000, for shapes over 1. */
    private static function gamma(float $mean, float $deviation): float
    {
        $d = ($mean / $deviation) ** 2 - 1.0 / 3.0;
        do {
            $x = self::normal();
            $v = (1.0 + $x / sqrt(9.0 * $d)) ** 3;
        } while ($v <= 0.0 || log((mt_rand() + 1) / (mt_getrandmax() + 2)) > 0.5 * $x * $x + $d - $d * $v + $d * log($v));

        return $d * $v * $deviation ** 2 / $mean;
    }

    private static function normal(): float
    {
        return sqrt(-2.0 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2.0 * M_PI * mt_rand() / mt_getrandmax());
    }
}
