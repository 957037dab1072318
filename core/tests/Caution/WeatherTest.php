<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Caution;

use FleetSparrow\Core\Caution\LoadJump;
use FleetSparrow\Core\Caution\Weather;
use FleetSparrow\Core\Caution\WetBulbGlobe;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Shared\Earlier;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WeatherTest extends TestCase
{
    /**
     * Australian Bureau of Meteorology, "About the WBGT": table for moderately strong sun and light wind, whole degrees; a few
     * of its cells, from memory.
     *
     * @return iterable<string, array{float, float, int}>
     */
    public static function table(): iterable
    {
        yield '20 °C at 50%' => [20.0, 50.0, 20];
        yield '25 °C at 50%' => [25.0, 50.0, 24];
        yield '30 °C at 50%' => [30.0, 50.0, 29];
        yield '30 °C at 70%' => [30.0, 70.0, 33];
        yield '35 °C at 40%' => [35.0, 40.0, 33];
        yield '40 °C at 20%' => [40.0, 20.0, 32];
    }

    #[DataProvider('table')]
    public function test_agrees_with_the_published_table(float $temperature, float $humidity, int $figure): void
    {
        self::assertSame($figure, (int) round(WetBulbGlobe::celsius($temperature, $humidity)));
    }

    public function test_more_heat_and_more_damp_are_never_cooler(): void
    {
        for ($temperature = 0.0; $temperature < 45.0; $temperature += 2.5) {
            for ($humidity = 0.0; $humidity < 100.0; $humidity += 10.0) {
                self::assertLessThan(WetBulbGlobe::celsius($temperature + 2.5, $humidity), WetBulbGlobe::celsius($temperature, $humidity));
                self::assertLessThan(WetBulbGlobe::celsius($temperature, $humidity + 10.0), WetBulbGlobe::celsius($temperature, $humidity));
            }
        }
    }

    public function test_refuses_weather_there_is_not(): void
    {
        // The ends themselves are taken.
        self::assertLessThan(WetBulbGlobe::celsius(55.0, 100.0), WetBulbGlobe::celsius(-20.0, 0.0));
        foreach ([[-20.1, 50.0], [55.1, 50.0], [20.0, -1.0], [20.0, 100.1], [NAN, 50.0]] as [$temperature, $humidity]) {
            try {
                WetBulbGlobe::celsius($temperature, $humidity);
                self::fail("{$temperature} °C at {$humidity}% was taken.");
            } catch (InvalidPlan $refusal) {
                self::assertContains($refusal->path(), ['temperatureCelsius', 'humidityPercent']);
            }
        }
    }

    public function test_the_switch_and_the_figure_both_make_it_hot(): void
    {
        self::assertSame([false, 20.0, null], [Weather::mild()->isHot(), Weather::mild()->waterMinutes(), Weather::mild()->sentence()]);
        self::assertSame([true, 10.0], [Weather::of(true, null)->isHot(), Weather::of(true, null)->waterMinutes()]);
        self::assertSame([false, true], [Weather::of(false, 24.9)->isHot(), Weather::of(false, 25.0)->isHot()]);
        self::assertSame([false, true], [Weather::of(true, 29.9)->isTooHot(), Weather::of(false, 30.0)->isTooHot()]);
        // The squad's own lines.
        self::assertSame([false, true], [Weather::of(false, 25.0, 27.0)->isHot(), Weather::of(false, 28.0, 27.0, 28.0)->isTooHot()]);
        self::assertStringStartsWith('Too hot: at or over 30 °C. Wet-bulb globe 31.2 °C', (string) Weather::of(false, 31.2)->sentence());
        self::assertStringNotContainsString('Wet-bulb', (string) Weather::of(true, null)->sentence());
    }

    public function test_a_week_is_held_against_the_four_before_it(): void
    {
        $weekly = fn (float $amount): array => array_map(fn (int $ago): Earlier => new Earlier($ago, $amount), [7, 14, 21, 28]);

        self::assertSame(1.5, LoadJump::ratio(150.0, $weekly(100.0)));
        // What was done earlier in the same week counts with it.
        self::assertSame(2.0, LoadJump::ratio(150.0, [...$weekly(100.0), new Earlier(2, 50.0)]));
        // Two sessions a week in all four.
        self::assertSame(0.75, LoadJump::ratio(150.0, [...$weekly(100.0), ...$weekly(100.0)]));
        // Nothing before four weeks exist, or where they were empty.
        self::assertNull(LoadJump::ratio(150.0, array_slice($weekly(100.0), 0, 3)));
        self::assertNull(LoadJump::ratio(150.0, []));
        self::assertNull(LoadJump::ratio(150.0, $weekly(0.0)));
        // Five weeks ago is too long ago to count.
        self::assertSame(6.0, LoadJump::ratio(150.0, [new Earlier(28, 100.0), new Earlier(35, 900.0)]));
    }
}
