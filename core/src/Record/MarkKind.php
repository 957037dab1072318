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

    public function better(): Better
    {
        return match ($this) {
            self::TimeForWork, self::TriesForQuota, self::TouchesOnPath, self::TriesToFirstHit, self::ProtocolScore => Better::Lower,
            default => Better::Higher,
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
            self::HitsOfAttempts => 'hits',
            self::TriesToFirstHit => 'balls to the first hit',
            self::ChainSteps => 'steps of the chain',
            self::FarthestDistance => 'm',
            self::SecondsHeld => 's held',
            self::RungReached => 'rung',
            self::ProtocolScore => 'points',
        };
    }

    /** The smallest difference the number can show: tenths for times, distances and points, else one. */
    public function step(): float
    {
        return match ($this) {
            self::TimeForWork, self::SecondsHeld, self::ProtocolScore, self::FarthestDistance => 0.1,
            default => 1.0,
        };
    }

    public function least(): float
    {
        return match ($this) {
            self::TimeForWork => 0.1,
            self::TriesForQuota, self::TouchesOnPath, self::TriesToFirstHit => 1.0,
            default => 0.0,
        };
    }

    /** Beyond this a number is taken for a slip of the thumb. */
    public function most(): float
    {
        return match ($this) {
            self::TimeForWork, self::SecondsHeld => 3600.0,
            self::FarthestDistance => 120.0,
            self::HitsOfAttempts, self::TriesToFirstHit, self::ChainSteps, self::RungReached => 99.0,
            self::LongestRun, self::RunningTotal => 9999.0,
            default => 999.0,
        };
    }
}
