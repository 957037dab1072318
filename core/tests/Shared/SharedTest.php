<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Shared;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Exception\InvalidValue;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SharedTest extends TestCase
{
    use TestTrait;

    public function test_yard_and_foot_are_the_defined_ones(): void
    {
        // NIST Handbook 44, Appendix C: 1 yd = 0.9144 m exactly, 1 ft = 0.3048 m exactly, so 3 ft = 1 yd.
        self::assertSame(0.9144, Length::of(1.0, LengthUnit::Yard)->metres());
        self::assertSame(0.3048, Length::of(1.0, LengthUnit::Foot)->metres());
        self::assertTrue(Length::of(3.0, LengthUnit::Foot)->equals(Length::of(1.0, LengthUnit::Yard)));
        self::assertTrue(Length::of(4.0, LengthUnit::Yard)->equals(Length::ofMetres(3.6576)));
    }

    public function test_a_length_survives_any_unit(): void
    {
        $this->forAll(
            Generators::choose(0, 100_000),
            Generators::elements(LengthUnit::cases()),
        )->then(function (int $hundredths, LengthUnit $unit): void {
            self::assertSame((float) ($hundredths / 100), Length::of($hundredths / 100, $unit)->in($unit));
        });
    }

    /** @return array<string, array{float}> */
    public static function noLengths(): array
    {
        return ['negative' => [-0.01], 'over a kilometre' => [1000.1], 'endless' => [INF], 'no number' => [NAN]];
    }

    #[DataProvider('noLengths')]
    public function test_refuses_what_is_no_length(float $metres): void
    {
        $this->expectException(InvalidValue::class);
        Length::ofMetres($metres);
    }

    /** @return array<string, array{string}> */
    public static function noDates(): array
    {
        return [
            '31 February' => ['2025-02-31'],
            'a line break after it' => ["2025-02-28\n"],
            'month 13' => ['2025-13-01'],
            'a time' => ['2025-02-28T10:00'],
            'nothing' => [''],
        ];
    }

    #[DataProvider('noDates')]
    public function test_refuses_what_is_no_day(string $text): void
    {
        self::assertNull(CalendarDate::tryFromIso($text));
        $this->expectException(InvalidValue::class);
        CalendarDate::fromIso($text);
    }

    public function test_days_agree_with_php_over_many_years(): void
    {
        $this->forAll(Generators::choose(0, 60_000), Generators::choose(0, 900))->then(function (int $from, int $days): void {
            $start = new \DateTimeImmutable("1950-01-01 +{$from} days");
            $end = $start->modify("+{$days} days");
            $one = CalendarDate::fromIso($start->format('Y-m-d'));
            $two = CalendarDate::fromIso($end->format('Y-m-d'));
            self::assertSame($days, $one->daysUntil($two));
            self::assertSame($days <=> 0, $two->compareTo($one));
        });
    }

    public function test_durations_add_up_and_the_shared_factor_keeps_the_mean(): void
    {
        $sum = DurationEstimate::judged(60.0, 0.25)->plus(DurationEstimate::judged(20.0, 0.25))->plus(DurationEstimate::fixed(30.0));
        self::assertSame(110.0, $sum->meanSeconds);
        self::assertSame(225.0 + 25.0, $sum->variance);
        $shared = $sum->withSharedFactor(0.1);
        self::assertEqualsWithDelta(110.0, $shared->meanSeconds, 1e-9);
        // Var(GS) = (σ² + μ²)(1 + g²) − μ² = (250 + 12100) · 1.01 − 12100
        self::assertEqualsWithDelta(373.5, $shared->variance, 1e-6);
    }
}
