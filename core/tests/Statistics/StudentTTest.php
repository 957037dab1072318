<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Statistics;

use FleetSparrow\Core\Statistics\StudentT;
use PHPUnit\Framework\TestCase;

/** Against R 4: pt and qt. */
final class StudentTTest extends TestCase
{
    public function test_against_r(): void
    {
        foreach ([[0.0, 1.0, 0.5], [1.0, 3.5, 0.8093313732], [2.5, 13.0, 0.9867056086], [-1.2, 7.0, 0.1345859684],
            [4.0, 5.0, 0.9948382923]] as [$t, $degrees, $expected]) {
            self::assertEqualsWithDelta($expected, StudentT::cdf($t, $degrees), 1e-10);
        }
        foreach ([[0.6, 3.0, 0.2766706623], [0.6, 7.0, 0.2631668614], [0.75, 13.0, 0.6938293042], [0.95, 13.0, 1.7709333960],
            [0.975, 13.0, 2.1603686565]] as [$probability, $degrees, $expected]) {
            self::assertEqualsWithDelta($expected, StudentT::quantile($probability, $degrees), 1e-9);
            self::assertEqualsWithDelta(-$expected, StudentT::quantile(1.0 - $probability, $degrees), 1e-9);
        }
    }
}
