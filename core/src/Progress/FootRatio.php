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

    /** Under this the other foot is behind; this tool's own value. */
    private const BEHIND = 0.8;

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
        if ($strong->days === []) {
            return null;
        }
        $first = $strong->days[0]->on;
        $at = array_map(static fn (SessionValue $day): int => $first->daysUntil($day->on), $strong->days);
        $days = [];
        foreach ($weaker->days as $day) {
            $nearest = self::nearest($at, $first->daysUntil($day->on));
            $ratio = $nearest === null ? null : self::ratio($strong->days[$nearest]->median, $day->median, $weaker->kind->better());
            $days = $ratio === null ? $days : [...$days, ['on' => $day->on, 'ratio' => $ratio]];
        }
        $count = count($days);

        return $days === [] ? null : new self(
            $days[$count - 1]['ratio'],
            $count > 1 && $days[$count - 1]['ratio'] >= 1.0 && $days[$count - 2]['ratio'] < 1.0,
            $days,
        );
    }

    public function isBehind(): bool
    {
        return $this->ratio < self::BEHIND;
    }

    /** Whether the foot that is called the other one was ahead three times in a row. */
    public function isAhead(): bool
    {
        $last = array_slice($this->days, -self::IN_A_ROW);

        return count($last) === self::IN_A_ROW && array_filter($last, static fn (array $day): bool => $day['ratio'] <= 1.0) === [];
    }

    /**
     * @param  list<int>  $days  in order
     * @return int|null which of them lies nearest, the later of two; null where none is within fourteen days
     */
    private static function nearest(array $days, int $day): ?int
    {
        $nearest = null;
        foreach ($days as $i => $one) {
            $apart = abs($one - $day);
            if ($apart <= self::WITHIN_DAYS && ($nearest === null || $apart <= abs($days[$nearest] - $day))) {
                $nearest = $i;
            }
        }

        return $nearest;
    }

    private static function ratio(float $strong, float $weaker, Better $better): ?float
    {
        [$over, $under] = $better === Better::Higher ? [$weaker, $strong] : [$strong, $weaker];

        return $under <= 0.0 ? null : $over / $under;
    }
}
