<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use PHPUnit\Framework\TestCase;

/** The same as SimulationTest, long: a suite of its own, since it takes minutes. */
final class LongSimulation extends TestCase
{
    public function test_sixty_sessions_of_ten_thousand_plays(): void
    {
        [$eight, $five] = SimulationTest::shares(60, 10_000, 77);
        fwrite(STDERR, sprintf(
            "\n60 sessions, 10,000 plays each: %.3f end by the 8-in-10 time (%d within 0.77 and 0.83), "
                ."%.3f by the 5-in-10 time (%d within 0.47 and 0.53).\n",
            array_sum($eight) / 60,
            $near = count(array_filter($eight, fn (float $share): bool => abs($share - 0.8) <= 0.03)),
            array_sum($five) / 60,
            count(array_filter($five, fn (float $share): bool => abs($share - 0.5) <= 0.03)),
        ));
        self::assertGreaterThanOrEqual(55, $near);
        self::assertEqualsWithDelta(0.8, array_sum($eight) / 60, 0.01);
        self::assertEqualsWithDelta(0.5, array_sum($five) / 60, 0.01);
    }
}
