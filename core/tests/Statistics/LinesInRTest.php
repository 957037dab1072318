<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Statistics;

use FleetSparrow\Core\Exception\InvalidValue;
use FleetSparrow\Core\Progress\TypicalError;
use FleetSparrow\Core\Statistics\Median;
use FleetSparrow\Core\Statistics\ShareInterval;
use FleetSparrow\Core\Statistics\TheilSen;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Against R, and against tables in print.
 *
 * @phpstan-type InR array{name: string, days: list<float>, values: list<float>, slope: float, low: float, high: float, typicalError: float,
 *     median: float}
 */
final class LinesInRTest extends TestCase
{
    /** @return array<string, array{list<float>, list<float>, InR}> */
    public static function lines(): array
    {
        /** @var array{cases: list<InR>} $golden */
        $golden = json_decode((string) file_get_contents(__DIR__.'/../golden/lines-in-r.json'), true, flags: JSON_THROW_ON_ERROR);

        return array_combine(
            array_column($golden['cases'], 'name'),
            array_map(static fn (array $case): array => [$case['days'], $case['values'], $case], $golden['cases']),
        );
    }

    /**
     * @param  list<float>  $days
     * @param  list<float>  $values
     * @param  InR  $expected
     */
    #[DataProvider('lines')]
    public function test_slope_interval_typical_error_and_median_are_those_of_r(array $days, array $values, array $expected): void
    {
        $floats = array_map(floatval(...), $values);
        $points = array_map(static fn (float $day, float $value): array => [$day, $value], array_map(floatval(...), $days), $floats);
        $found = TheilSen::of($points);

        self::assertNotNull($found);
        foreach ([
            'slope' => $found->slope, 'low' => $found->low, 'high' => $found->high,
            'typicalError' => TypicalError::of($floats)->value(), 'median' => Median::of($floats),
        ] as $name => $value) {
            self::assertEqualsWithDelta($expected[$name], $value, 1e-6 * max(1.0, abs($expected[$name])), $name);
        }
    }

    public function test_there_are_twenty_lines_and_more(): void
    {
        self::assertGreaterThanOrEqual(20, count(self::lines()));
    }

    /** Sen 1968 by Kendall's exact ranks: of 28 slopes the 7th and the 22nd, of 10 the 2nd and the 9th; four points have none. */
    public function test_which_slopes_bound_the_interval(): void
    {
        self::assertSame([7, 2], [TheilSen::rank(8, 0.9), TheilSen::rank(5, 0.9)]);
        $four = TheilSen::of([[0.0, 1.0], [1.0, 3.0], [2.0, 2.0], [3.0, 5.0]]);
        self::assertNotNull($four);
        self::assertSame([null, null], [$four->low, $four->high]);
        self::assertNull(TheilSen::of([[0.0, 1.0]]));
        self::assertNull(TheilSen::of([]));
    }

    public function test_turned_round_a_slope_changes_its_sign_and_its_interval_its_ends(): void
    {
        foreach (self::lines() as $name => [$days, $values]) {
            $up = TheilSen::of(array_map(static fn (float $day, float $value): array => [$day, $value], $days, $values));
            $down = TheilSen::of(array_map(static fn (float $day, float $value): array => [$day, -$value], $days, $values));
            self::assertNotNull($up?->low);
            self::assertNotNull($down?->high);
            self::assertEqualsWithDelta([-$up->slope, -$up->low], [$down->slope, $down->high], 1e-12, $name);
            self::assertLessThanOrEqual($up->slope, $up->low, $name);
        }
    }

    /** Of few and even values half of the slopes often rise and half fall or are level, where counting alone would not tell. */
    public function test_the_sign_told_by_counting_is_the_sign_of_the_slope(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $met = [];
        for ($play = 0; $play < 3000; $play++) {
            $points = [];
            foreach (range(1, $random->getInt(2, 7)) as $i) {
                $points[] = [(float) (3 * $i + $random->getInt(0, 2)), (float) $random->getInt(1, 4)];
            }
            $sign = TheilSen::of($points)?->slope <=> 0.0;
            self::assertSame($sign, TheilSen::sign($points), (string) json_encode($points));
            $met[$sign] = true;
        }
        self::assertCount(3, $met);
        self::assertSame([0, 0], [TheilSen::sign([]), TheilSen::sign([[0.0, 1.0]])]);
    }

    /** Newcombe 1998, Stat. Med. 17:857–872, table I, method 3; R: prop.test(correct = FALSE) for the last two. */
    public function test_newcombe_s_intervals(): void
    {
        foreach ([
            [81, 263, 0.2553, 0.3662],
            [15, 148, 0.0624, 0.1605],
            [0, 20, 0.0, 0.1611],
            [1, 29, 0.0061, 0.1718],
            [7, 9, 0.4525889691, 0.9367748929],
            [20, 20, 0.8388748419, 1.0],
        ] as [$hits, $attempts, $low, $high]) {
            $found = ShareInterval::of($hits, $attempts);
            self::assertEqualsWithDelta([$low, $high], [$found->low, $found->high], 5e-5, "{$hits} of {$attempts}");
            self::assertSame((float) ($hits / $attempts), $found->share);
        }
        $this->expectException(InvalidValue::class);
        ShareInterval::of(3, 2);
    }

    public function test_no_attempt_is_no_share(): void
    {
        $this->expectExceptionMessage('0 of 0 is no share of anything.');
        ShareInterval::of(0, 0);
    }
}
