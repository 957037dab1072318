<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Run;

use FleetSparrow\Core\Run\Look;
use FleetSparrow\Core\Run\LookCount;
use FleetSparrow\Core\Run\TouchWeight;
use FleetSparrow\Core\Shared\CalendarDate;
use PHPUnit\Framework\TestCase;

final class LookCountTest extends TestCase
{
    public function test_balls_are_counted_by_day_and_drill_touches_apart_from_passes(): void
    {
        [$tuesday, $thursday] = [CalendarDate::fromIso('2026-03-10'), CalendarDate::fromIso('2026-03-12')];
        $counts = LookCount::all([
            Look::atTouch(1, 'far-foot-open', $tuesday, TouchWeight::Right, true),
            Look::atTouch(1, 'far-foot-open', $tuesday, TouchWeight::Right, null),
            Look::atTouch(1, 'far-foot-open', $tuesday, TouchWeight::Short, false),
            Look::atTouch(1, 'far-foot-open', $tuesday, TouchWeight::Away, true),
            Look::atPass(1, 'gate-pass', $thursday, true, true, true),
            Look::atPass(1, 'gate-pass', $thursday, true, false, true),
            Look::atPass(1, 'gate-pass', $thursday, false, false, false),
            Look::atPass(1, 'far-foot-open', $tuesday, true, true, false),
        ]);

        self::assertSame(['gate-pass', 'far-foot-open'], array_map(static fn (LookCount $one): string => $one->drillSlug, $counts));
        self::assertSame(['looked' => 3, 'accurate' => 2, 'pace' => 1, 'clean' => 2, 'all' => 1], $counts[0]->passes);
        self::assertSame(0, array_sum($counts[0]->touches));
        self::assertSame(['short' => 1, 'right' => 2, 'away' => 1, 'far' => 2, 'near' => 1], $counts[1]->touches);
        // A pass in the same drill is no first touch.
        self::assertSame(['looked' => 1, 'accurate' => 1, 'pace' => 1, 'clean' => 0, 'all' => 0], $counts[1]->passes);
        self::assertSame('2026-03-10', $counts[1]->on->iso());
    }

    public function test_nobody_looked_at_is_nothing_counted(): void
    {
        self::assertSame([], LookCount::all([]));
    }
}
