<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Season;

use FleetSparrow\Core\Season\Fade;
use PHPUnit\Framework\TestCase;

final class FadeTest extends TestCase
{
    public function test_three_weeks_are_not_stale_and_a_day_more_is(): void
    {
        self::assertSame([false, true], [Fade::isStale(21), Fade::isStale(22)]);
    }

    public function test_fades_from_nothing_to_all(): void
    {
        self::assertSame([0.0, 0.0, 20 / 21, 1.0, 1.0], array_map(Fade::share(...), [-3, 0, 20, 21, 90]));
    }
}
