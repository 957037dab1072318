<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Touch;

use FleetSparrow\Core\Touch\FootBalance;
use PHPUnit\Framework\TestCase;

final class FootBalanceTest extends TestCase
{
    public function test_two_in_five_are_kept_and_less_is_not(): void
    {
        self::assertTrue(FootBalance::isKept(40.0, 60.0));
        self::assertTrue(FootBalance::isKept(60.0, 40.0));
        self::assertFalse(FootBalance::isKept(39.9, 60.1));
        self::assertTrue(FootBalance::isKept(0.0, 0.0));
    }
}
