<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

use DateTimeZone;
use Psr\Clock\ClockInterface as PsrClock;

/** Stands in for symfony/clock, which Carbon asks for. Delete when that package can be installed. */
interface ClockInterface extends PsrClock
{
    public function sleep(float|int $seconds): void;

    public function withTimeZone(DateTimeZone|string $timezone): static;
}
