<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What a mark measures. */
enum MarkKind: string
{
    case CountInTime = 'count-in-time';
    case TimeForWork = 'time-for-work';
    case LongestRun = 'longest-run';
    case RunningTotal = 'running-total';
    case TriesForQuota = 'tries-for-quota';
    case TouchesOnPath = 'touches-on-path';

    public function better(): Better
    {
        return match ($this) {
            self::CountInTime, self::LongestRun, self::RunningTotal => Better::Higher,
            self::TimeForWork, self::TriesForQuota, self::TouchesOnPath => Better::Lower,
        };
    }

    /** What the number counts, as written after it. */
    public function unit(): string
    {
        return match ($this) {
            self::CountInTime => 'reps',
            self::TimeForWork => 's',
            self::LongestRun => 'in a row',
            self::RunningTotal => 'in all',
            self::TriesForQuota => 'tries',
            self::TouchesOnPath => 'touches',
        };
    }

    /** The smallest difference the number can show: tenths of a second for times, else one. */
    public function step(): float
    {
        return $this === self::TimeForWork ? 0.1 : 1.0;
    }

    public function least(): float
    {
        return match ($this) {
            self::TimeForWork => 0.1,
            self::TriesForQuota, self::TouchesOnPath => 1.0,
            default => 0.0,
        };
    }

    /** Beyond this a number is taken for a slip of the thumb. */
    public function most(): float
    {
        return match ($this) {
            self::CountInTime, self::TriesForQuota, self::TouchesOnPath => 999.0,
            self::TimeForWork => 3600.0,
            self::LongestRun, self::RunningTotal => 9999.0,
        };
    }
}
