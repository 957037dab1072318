<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Progress;

use FleetSparrow\Core\Progress\FootRatio;
use FleetSparrow\Core\Progress\SquadLine;
use FleetSparrow\Core\Progress\Standstill;
use FleetSparrow\Core\Progress\Trend;
use FleetSparrow\Core\Progress\TypicalError;
use FleetSparrow\Core\Progress\Verdict;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Shared\CalendarDate;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class ReadingOfALineTest extends TestCase
{
    /** R: sd(diff(x)) / sqrt(2). */
    public function test_the_typical_error_against_r(): void
    {
        self::assertEqualsWithDelta(1.133893419, TypicalError::of([14, 15, 13, 15, 17, 18, 17, 19])->value(), 1e-9);
        // Two players pooled: differences 1, 2, 3 (squares about their mean 2, two degrees) and 0, 4 (8, one): √(10 ÷ 3 ÷ 2).
        $pooled = TypicalError::pooled([[10.0, 11.0, 13.0, 16.0], [5.0, 5.0, 9.0]]);
        self::assertSame(3, $pooled->degrees);
        self::assertEqualsWithDelta(sqrt(10.0 / 3.0 / 2.0), $pooled->value(), 1e-12);
        self::assertNull(TypicalError::of([3, 4])->value());
    }

    public function test_verdicts_of_a_squad_with_a_typical_error_of_one_and_a_half(): void
    {
        // R: pt(d / se, 13) and pt((d - 1) / se, 13) with s² = (8·1.5² + 5·own²) ÷ 13 and se = s·√(2/4).
        $squad = self::squad(1.5);
        $better = Verdict::of(self::line([14, 15, 13, 15, 17, 18, 17, 19]), $squad);
        self::assertSame([Trend::ClearlyBetter, 3.5], [$better->trend, $better->change]);
        self::assertEqualsWithDelta(0.9984171576, $better->chance, 1e-9);
        $same = Verdict::of(self::line([14, 15, 13, 15, 15, 16, 15, 17]), $squad);
        self::assertSame([Trend::NoClearChange, 1.5], [$same->trend, $same->change]);
        self::assertEqualsWithDelta(0.9298592875, $same->chance, 1e-9);
        // Sure that it is better, and only likely that it is worth a word: 15 more in one value.
        self::assertSame(Trend::Better, Verdict::of(self::line([14, 15, 13, 15, 16, 17, 15, 18]), $squad)->trend);
        // The same as times is worse.
        $times = self::line([14, 15, 13, 15, 17, 18, 17, 19], MarkKind::TimeForWork);
        self::assertSame(Trend::ClearlyWorse, Verdict::of($times, $squad)->trend);
        self::assertSame(Trend::Worse, Verdict::of(self::line([18, 15, 17, 16, 15, 13, 15, 14]), $squad)->trend);
        self::assertSame(Trend::TooFew, Verdict::of(self::line([14, 15, 13, 15, 17]), $squad)->trend);
    }

    public function test_a_line_is_read_at_fixed_points(): void
    {
        $squad = self::squad(1.5);
        $first = Verdict::of(self::line([14, 15, 13, 15, 17, 18, 17, 19]), $squad);
        foreach ([[40], [40, 40, 40, 40, 40, 40, 40]] as $later) {
            self::assertEquals($first, Verdict::of(self::line([14, 15, 13, 15, 17, 18, 17, 19, ...$later]), $squad));
        }
        self::assertNotEquals($first, Verdict::of(self::line([14, 15, 13, 15, 17, 18, 17, 19, ...array_fill(0, 8, 40)]), $squad));
        self::assertEquals(
            Verdict::of(self::line([14, 15, 13, 15, 17, 18]), $squad),
            Verdict::of(self::line([14, 15, 13, 15, 17, 18, 99]), $squad),
        );
    }

    /** Steady players are told of a change in under 8% of readings; a change of three typical errors is found in 99%. */
    public function test_false_and_missed_verdicts(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $normal = static fn (): float => array_sum(array_map(
            static fn (): float => $random->getInt(0, 1_000_000) / 1_000_000,
            range(1, 12),
        )) - 6.0;
        $squad = self::squad(1.5);
        [$false, $found, $plays] = [0, 0, 4000];
        for ($play = 0; $play < $plays; $play++) {
            $steady = array_map(static fn (): float => 20.0 + 1.5 * $normal(), range(1, 8));
            $risen = array_map(static fn (int $i): float => 20.0 + ($i > 4 ? 4.5 : 0.0) + 1.5 * $normal(), range(1, 8));
            $false += Verdict::of(self::line($steady), $squad)->trend === Trend::NoClearChange ? 0 : 1;
            $found += in_array(Verdict::of(self::line($risen), $squad)->trend, [Trend::Better, Trend::ClearlyBetter], true) ? 1 : 0;
        }
        self::assertLessThan(0.08, $false / $plays);
        self::assertGreaterThan(0.99 - 0.005, $found / $plays);
    }

    public function test_what_change_is_worth_a_word(): void
    {
        // Means 10, 14, 18, 22, 26: variance 40; nobody strays, so a fifth of √40 is 1.26.
        $lines = array_map(static fn (int $mean): LineReading => self::line([$mean, $mean, $mean]), [10, 14, 18, 22, 26]);
        self::assertEqualsWithDelta(0.2 * sqrt(40.0), SquadLine::of($lines)->worthwhile, 1e-12);
        self::assertNull(SquadLine::of(array_slice($lines, 1))->worthwhile);
        // Close together, one count is the least.
        $close = array_map(static fn (int $mean): LineReading => self::line([$mean, $mean, $mean]), [10, 11, 10, 11, 10]);
        self::assertSame(1.0, SquadLine::of($close)->worthwhile);
        self::assertNull(SquadLine::of([])->worthwhile);
    }

    public function test_stuck_since(): void
    {
        $stuck = Standstill::of(self::line([12, 16, 15, 16, 14, 15]));
        self::assertSame([16.0, '2026-03-10', 4], [$stuck?->value, $stuck?->since->iso(), $stuck?->sessions]);
        // Three later days are too few, and a later record is no standstill.
        self::assertNull(Standstill::of(self::line([12, 16, 15, 16, 14])));
        self::assertNull(Standstill::of(self::line([12, 16, 15, 16, 14, 17])));
        // Four later days within three weeks are too soon.
        self::assertNull(Standstill::of(self::line([12, 16, 15, 16, 14, 15], daysApart: 5)));
        self::assertNotNull(Standstill::of(self::line([12, 10, 11, 11, 12, 11], MarkKind::TimeForWork)));
        self::assertNull(Standstill::of(self::line([])));
    }

    public function test_the_other_foot_against_the_strong_one(): void
    {
        $ratio = FootRatio::of(self::line([20, 21, 20]), self::line([10, 14, 22]));
        self::assertEqualsWithDelta(1.1, $ratio?->ratio, 1e-12);
        self::assertTrue($ratio->hasJustPassed);
        $behind = FootRatio::of(self::line([20, 21, 20]), self::line([10, 14, 14]));
        self::assertSame([0.7, false], [$behind?->ratio, $behind?->hasJustPassed]);
        // Of times the other way round: 10 s strong, 12.5 s with the other foot.
        self::assertSame(0.8, FootRatio::of(self::line([10], MarkKind::TimeForWork), self::line([12.5], MarkKind::TimeForWork))?->ratio);
        // A month apart they say nothing, nor against nought.
        self::assertNull(FootRatio::of(self::line([20]), self::line([10], first: '2026-04-10')));
        self::assertNull(FootRatio::of(self::line([0]), self::line([10])));
        self::assertNotNull(FootRatio::of(self::line([20]), self::line([10], first: '2026-03-17')));
        self::assertNull(FootRatio::of(self::line([20]), self::line([10], first: '2026-03-18')));
    }

    /** A typical error with more than eight degrees of freedom, and one count worth a word. */
    private static function squad(float $error): SquadLine
    {
        // Differences of plus and minus d, ten times: mean nought, variance 10·d² ÷ 9, so d = error · √2 · √(9/10).
        $step = $error * sqrt(2.0) * sqrt(0.9);
        $values = [20.0];
        for ($i = 0; $i < 10; $i++) {
            $values[] = $values[$i] + ($i % 2 === 0 ? $step : -$step);
        }

        return SquadLine::ofFigures(TypicalError::of($values), 1.0);
    }

    /** @param  list<int|float>  $values */
    private static function line(
        array $values,
        MarkKind $kind = MarkKind::CountInTime,
        int $daysApart = 7,
        string $first = '2026-03-03',
    ): LineReading {
        $start = CalendarDate::fromIso($first);
        $day = static function (int $i, int|float $value) use ($start, $daysApart): SessionValue {
            return SessionValue::ofOneTry($start->plusDays($daysApart * $i), (float) $value);
        };

        return LineReading::ofDays($kind, array_map($day, array_keys($values), $values));
    }
}
