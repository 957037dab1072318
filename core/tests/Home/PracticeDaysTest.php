<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Home;

use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Home\PracticeStreak;
use FleetSparrow\Core\Home\PractisedOn;
use FleetSparrow\Core\Shared\CalendarDate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Days of practice: a phone with the wrong date, and a streak that forgives a missed day. */
final class PracticeDaysTest extends TestCase
{
    /** @return array<string, array{string, string, string, bool}> said, the phone's today, meant, moved; ours is 12 March 2026 */
    public static function phones(): array
    {
        return [
            'today' => ['2026-03-12', '2026-03-12', '2026-03-12', false],
            'last week' => ['2026-03-05', '2026-03-12', '2026-03-05', false],
            'beyond the date line' => ['2026-03-13', '2026-03-13', '2026-03-12', false],
            'a day behind' => ['2026-03-11', '2026-03-11', '2026-03-11', false],
            'two days behind' => ['2026-03-10', '2026-03-10', '2026-03-12', true],
            'a clock of 2020' => ['2019-12-30', '2020-01-01', '2026-03-10', true],
            'a clock of 2031' => ['2031-05-01', '2031-05-01', '2026-03-12', true],
            'written ahead' => ['2026-03-20', '2026-03-12', '2026-03-12', true],
            'sixty days' => ['2026-01-11', '2026-03-12', '2026-01-11', false],
        ];
    }

    #[DataProvider('phones')]
    public function test_the_day_that_was_meant(string $said, string $phone, string $meant, bool $wasMoved): void
    {
        $on = PractisedOn::of(CalendarDate::fromIso($said), CalendarDate::fromIso($phone), CalendarDate::fromIso('2026-03-12'));
        self::assertSame([$meant, $wasMoved], [$on->on->iso(), $on->wasMoved]);
    }

    public function test_what_is_long_ago_is_told_to_the_coach_instead(): void
    {
        $today = CalendarDate::fromIso('2026-03-12');
        $this->expectException(InvalidPlan::class);
        PractisedOn::of(CalendarDate::fromIso('2026-01-10'), $today, $today);
    }

    /** @return array<string, array{int<1, 7>, list<int>, int, int}> days a week, days ago, streak, in all */
    public static function streaks(): array
    {
        return [
            'none' => [3, [], 0, 0],
            'today' => [3, [0], 1, 1],
            'twice today' => [3, [0, 0], 1, 1],
            'three a week, one missed' => [3, [0, 5, 7, 9], 4, 4],
            'three a week, two missed' => [3, [0, 6, 8], 1, 3],
            'every day, one missed' => [7, [0, 2, 3, 4], 4, 4],
            'every day, two missed' => [7, [0, 3, 4], 1, 3],
            'once a week, one missed' => [1, [3, 17, 24], 3, 3],
            'once a week, two missed' => [1, [3, 18], 1, 2],
            'come apart since' => [3, [6, 8, 10], 0, 3],
        ];
    }

    /**
     * @param  int<1, 7>  $aWeek
     * @param  list<int>  $ago
     */
    #[DataProvider('streaks')]
    public function test_a_missed_day_is_only_a_day(int $aWeek, array $ago, int $streak, int $inAll): void
    {
        $today = CalendarDate::fromIso('2026-03-12');
        $days = array_map(static fn (int $days): CalendarDate => $today->plusDays(-$days), $ago);
        $of = PracticeStreak::of(array_reverse($days), $aWeek, $today);
        self::assertSame([$streak, $inAll], [$of->days, $of->inAll]);
    }
}
