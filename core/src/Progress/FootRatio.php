<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;

/**
 * The other foot against the strong one on twin lines: weaker ÷ strong of session values within fourteen days, the other way round for
 * times. Under one the other foot is behind.
 */
final readonly class FootRatio
{
    private const WITHIN_DAYS = 14;

    /** @param  bool  $hasJustPassed  level or ahead now, and behind the time before */
    private function __construct(public float $ratio, public bool $hasJustPassed)
    {
    }

    /** Null where the two were not measured within fourteen days, or the value that is divided by is none. */
    public static function of(LineReading $strong, LineReading $weaker): ?self
    {
        $ratios = [];
        foreach ($weaker->days as $day) {
            $ratios[] = self::at($day, $strong, $weaker->kind->better());
        }
        $ratios = array_values(array_filter($ratios, static fn (?float $ratio): bool => $ratio !== null));
        $count = count($ratios);

        return $count === 0 ? null : new self($ratios[$count - 1], $count > 1 && $ratios[$count - 1] >= 1.0 && $ratios[$count - 2] < 1.0);
    }

    private static function at(SessionValue $weaker, LineReading $strong, Better $better): ?float
    {
        $nearest = null;
        foreach ($strong->days as $day) {
            $apart = abs($day->on->daysUntil($weaker->on));
            if ($apart <= self::WITHIN_DAYS && ($nearest === null || $apart <= abs($nearest->on->daysUntil($weaker->on)))) {
                $nearest = $day;
            }
        }
        [$over, $under] = $better === Better::Higher ? [$weaker->median, $nearest?->median] : [$nearest?->median, $weaker->median];

        return $over === null || $under === null || $under <= 0.0 ? null : $over / $under;
    }
}
