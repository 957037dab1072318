<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Dose\RaceDose;
use FleetSparrow\Core\Dose\TimedDose;
use FleetSparrow\Core\Plan\OwnNumbers;
use FleetSparrow\Core\Record\MarkKind;
use PHPUnit\Framework\TestCase;

final class OwnNumbersTest extends TestCase
{
    public function test_what_a_mark_is_measured_by_comes_from_the_dose(): void
    {
        self::assertSame(10.0, OwnNumbers::scale(MarkKind::TriesForQuota, QuotaDose::of(10, 0.0, DoseSides::Each)));
        self::assertSame(30.0, OwnNumbers::scale(MarkKind::CountInTime, TimedDose::of(30.0, 2, 20.0, DoseSides::Each)));
        self::assertSame(4.0, OwnNumbers::scale(MarkKind::TimeForWork, RaceDose::of(4, 1, 0.0, DoseSides::Both)));
        self::assertSame(1.0, OwnNumbers::scale(MarkKind::LongestRun, TimedDose::of(30.0, 2, 20.0, DoseSides::Each)));
        self::assertSame(0.0, OwnNumbers::scale(MarkKind::CountInTime, QuotaDose::of(10, 0.0, DoseSides::Each)));
        self::assertSame(0.0, OwnNumbers::scale(MarkKind::HitsOfAttempts, QuotaDose::of(10, 0.0, DoseSides::Each)));
    }

    public function test_tries_of_quotas_and_runs_add_up(): void
    {
        // Two quotas of ten took 12 and 18 tries: 20 good, 10 missed. Three runs of 4, 0 and 6: ten good, three drops.
        $numbers = OwnNumbers::none()->and(MarkKind::TriesForQuota, 10.0, 2, 30.0)->and(MarkKind::LongestRun, 1.0, 3, 10.0);

        self::assertSame([30, 13], [$numbers->made, $numbers->missed]);
        self::assertSame([0.0, 0], [$numbers->seconds, $numbers->days]);
        self::assertSame(
            0,
            OwnNumbers::none()->and(MarkKind::TriesForQuota, 10.0, 1, 7.0)->missed,
            'Fewer tries than good ones cannot be.',
        );
    }

    public function test_seconds_of_a_rep_are_weighed_by_days(): void
    {
        // Two days of 30 and 30 in 30 s: 1 s a rep. One race of 4 reps in 10 s: 2.5 s a rep. (2 · 1 + 1 · 2.5) ÷ 3 = 1.5.
        $numbers = OwnNumbers::none()->and(MarkKind::CountInTime, 30.0, 2, 60.0)->and(MarkKind::TimeForWork, 4.0, 1, 10.0);

        self::assertEqualsWithDelta(1.5, $numbers->seconds, 1e-12);
        self::assertSame(3, $numbers->days);
        self::assertSame([0.0, 0], [
            OwnNumbers::none()->and(MarkKind::CountInTime, 30.0, 2, 0.0)->seconds,
            OwnNumbers::none()->and(MarkKind::CountInTime, 30.0, 2, 0.0)->days,
        ], 'Nothing counted says nothing of the pace.');
    }
}
