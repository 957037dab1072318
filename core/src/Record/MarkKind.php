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
    case HitsOfAttempts = 'hits-of-attempts';
    case TriesToFirstHit = 'tries-to-first-hit';
    case ChainSteps = 'chain-steps';
    case FarthestDistance = 'farthest-distance';
    case SecondsHeld = 'seconds-held';
    case RungReached = 'rung-reached';
    case ProtocolScore = 'protocol-score';

    public function measure(): Measure
    {
        [$more, $less] = [Better::Higher, Better::Lower];

        return match ($this) {
            self::CountInTime => Measure::count($more, 'reps', 'The count', 0, 999),
            self::TimeForWork => Measure::inTenths($less, 's', 'Seconds', 0.1, 3600.0),
            self::LongestRun => Measure::count($more, 'in a row', 'The count', 0, 9999),
            self::RunningTotal => Measure::count($more, 'in all', 'The count', 0, 9999),
            self::TriesForQuota => Measure::count($less, 'tries', 'Tries', 1, 999),
            self::TouchesOnPath => Measure::count($less, 'touches', 'Touches', 1, 999),
            self::HitsOfAttempts => Measure::count($more, 'hits', 'Hits', 0, 99),
            self::TriesToFirstHit => Measure::count($less, 'balls to the first hit', 'Balls', 1, 99),
            self::ChainSteps => Measure::count($more, 'steps of the chain', 'Steps', 0, 99),
            self::FarthestDistance => Measure::inTenths($more, 'm', 'Metres', 0.0, 120.0),
            self::SecondsHeld => Measure::inTenths($more, 's held', 'Seconds', 0.0, 3600.0),
            self::RungReached => Measure::count($more, 'rung', 'The rung', 0, 99),
            self::ProtocolScore => Measure::inTenths($less, 'points', 'Points', 0.0, 999.0),
        };
    }

    public function better(): Better
    {
        return $this->measure()->better;
    }

    /** What the number counts, as written after it. */
    public function unit(): string
    {
        return $this->measure()->unit;
    }

    /** The smallest difference the number can show: tenths for times, distances and points, else one. */
    public function step(): float
    {
        return $this->measure()->step;
    }
}
