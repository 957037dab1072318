<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Shared\CalendarDate;

/**
 * The other foot against the strong one on twin lines: weaker ÷ strong of session values within fourteen days, the other way round for
 * times. Under one the other foot is behind.
 */
final readonly class FootRatio
{
    private const WITHIN_DAYS = 14;

    /** So many in a row tell more than luck. */
    private const IN_A_ROW = 3;

    /**
     * @param  float  $ratio  the last one
     * @param  bool  $hasJustPassed  level or ahead now, and behind the time before
     * @param  non-empty-list<array{on: CalendarDate, ratio: float}>  $days  oldest first
     */
    private function __construct(public float $ratio, public bool $hasJustPassed, public array $days)
    {
    }

    /** Null where the two were not measured within fourteen days, or the value that is divided by is none. */
    public static function of(LineReading $strong, LineReading $weaker): ?self
    {
        $days = [];
        foreach ($weaker->days as $day) {
            $ratio = self::at($day, $strong, $weaker->kind->better());
            $days = $ratio === null ? $days : [...$days, ['on' => $day->on, 'ratio' => $ratio]];
        }
        $count = count($days);

        return $days === [] ? null : new self(
            $days[$count - 1]['ratio'],
            $count > 1 && $days[$count - 1]['ratio'] >= 1.0 && $days[$count - 2]['ratio'] < 1.0,
            $days,
        );
    }

    /** Whether the foot that is called the other one was ahead three times in a row. */
    public function isAhead(): bool
    {
        $last = array_slice($this->days, -self::IN_A_ROW);

        return count($last) === self::IN_A_ROW && array_filter($last, static fn (array $day): bool => $day['ratio'] <= 1.0) === [];
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
