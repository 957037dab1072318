<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Season;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Season\SeasonWeek;
use FleetSparrow\Core\Shared\CalendarDate;
use PHPUnit\Framework\TestCase;

final class SeasonWeekTest extends TestCase
{
    use TestTrait;

    public function test_the_week_that_holds_the_first_day_is_week_one(): void
    {
        // 4 March 2026 is a Wednesday.
        $start = CalendarDate::fromIso('2026-03-04');

        self::assertNull(SeasonWeek::number($start, CalendarDate::fromIso('2026-03-03'), 1));
        self::assertSame(1, SeasonWeek::number($start, $start, 1));
        self::assertSame(1, SeasonWeek::number($start, CalendarDate::fromIso('2026-03-08'), 1));
        self::assertSame(2, SeasonWeek::number($start, CalendarDate::fromIso('2026-03-09'), 1));
    }

    public function test_a_club_may_begin_its_week_on_sunday(): void
    {
        $start = CalendarDate::fromIso('2026-03-04');

        self::assertSame(1, SeasonWeek::number($start, CalendarDate::fromIso('2026-03-07'), 7));
        self::assertSame(2, SeasonWeek::number($start, CalendarDate::fromIso('2026-03-08'), 7));
        self::assertSame('2026-03-08', SeasonWeek::startOf(CalendarDate::fromIso('2026-03-08'), 7)->iso());
    }

    public function test_every_day_lies_in_the_week_that_begins_at_most_six_days_before(): void
    {
        $this->forAll(Generators::choose(0, 4000), Generators::choose(1, 7))->then(function (int $days, int $firstDay): void {
            $date = CalendarDate::fromIso('2020-01-01')->plusDays($days);
            $start = SeasonWeek::startOf($date, max(1, min(7, $firstDay)));
            $gap = $start->daysUntil($date);
            self::assertTrue($gap >= 0 && $gap < 7);
            self::assertSame($firstDay, $start->weekday());
            // PHP's own calendar, as a witness from outside.
            $witness = (new \DateTimeImmutable('2020-01-01 UTC'))->modify("+{$days} days");
            self::assertSame([$witness->format('Y-m-d'), (int) $witness->format('N')], [$date->iso(), $date->weekday()]);
            self::assertSame('2020-01-01', $date->plusDays(-$days)->iso());
        });
    }
}
