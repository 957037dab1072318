<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What a mark measures, and which kinds of dose can give it. */
enum MarkKind: string
{
    case CountInTime = 'count-in-time';
    case TimeForWork = 'time-for-work';
    case LongestRun = 'longest-run';
    case RunningTotal = 'running-total';
    case TriesForQuota = 'tries-for-quota';
    case TouchesOnPath = 'touches-on-path';
    case MostTouchesOnPath = 'most-touches-on-path';
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
            self::CountInTime => Measure::count($more, 'reps', 'The count', 0, 999)->from(['timed']),
            self::TimeForWork => Measure::inTenths($less, 's', 'Seconds', 0.1, 3600.0)
                ->from(['reps', 'lengths', 'race', 'collective'], ['quota']),
            self::LongestRun => Measure::count($more, 'in a row', 'The count', 0, 9999)->from(['streak'], ['collective', 'timed']),
            self::RunningTotal => Measure::count($more, 'in all', 'The count', 0, 9999)->from([], ['collective']),
            self::TriesForQuota => Measure::count($less, 'tries', 'Tries', 1, 999)->from(['quota']),
            self::TouchesOnPath => Measure::count($less, 'touches', 'Touches', 1, 999)->from([], ['reps', 'lengths', 'race']),
            self::MostTouchesOnPath => Measure::count($more, 'touches', 'Touches', 1, 999)->from([], ['reps', 'lengths', 'race']),
            self::HitsOfAttempts => Measure::count($more, 'hits', 'Hits', 0, 99)->from(['tries'], ['reps', 'lengths', 'timed']),
            self::TriesToFirstHit => Measure::count($less, 'balls to the first hit', 'Balls', 1, 99)->from(['tries']),
            self::ChainSteps => Measure::count($more, 'steps of the chain', 'Steps', 0, 99)
                ->from([], ['timed', 'reps', 'streak', 'tries', 'free']),
            self::FarthestDistance => Measure::inTenths($more, 'm', 'Metres', 0.0, 120.0)
                ->from([], ['timed', 'reps', 'lengths', 'streak', 'tries', 'free']),
            self::SecondsHeld => Measure::inTenths($more, 's held', 'Seconds', 0.0, 3600.0)
                ->from([], ['timed', 'reps', 'streak', 'tries', 'free']),
            self::RungReached => Measure::count($more, 'rung', 'The rung', 0, 99)
                ->from([], ['timed', 'reps', 'lengths', 'quota', 'streak', 'tries', 'free']),
            self::ProtocolScore => Measure::inTenths($less, 'points', 'Points', 0.0, 999.0)->from([], ['reps', 'lengths', 'race']),
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

    /** Whether the number says how much was done in a set, so that its touches are counted and not estimated. */
    public function tellsTouches(): bool
    {
        return match ($this) {
            self::CountInTime, self::RunningTotal, self::TriesForQuota, self::TriesToFirstHit, self::TouchesOnPath,
            self::MostTouchesOnPath => true,
            default => false,
        };
    }

    /** Whether the number is of single touches, whatever a rep has. */
    public function isOfTouches(): bool
    {
        return $this === self::TouchesOnPath || $this === self::MostTouchesOnPath;
    }

    /** The smallest difference the number can show: tenths for times, distances and points, else one. */
    public function step(): float
    {
        return $this->measure()->step;
    }

    /** As a choice of what is written down. */
    public function words(): string
    {
        return match ($this) {
            self::CountInTime => 'how many in the time',
            self::TimeForWork => 'the time it takes',
            self::LongestRun => 'the longest run',
            self::RunningTotal => 'how many in all',
            self::TriesForQuota => 'tries for the good ones',
            self::TouchesOnPath => 'touches used, fewer is better',
            self::MostTouchesOnPath => 'touches used, more is better',
            self::HitsOfAttempts => 'hits, or good ones, out of all',
            self::TriesToFirstHit => 'balls to the first hit',
            self::ChainSteps => 'steps of the chain',
            self::FarthestDistance => 'the farthest distance',
            self::SecondsHeld => 'seconds held',
            self::RungReached => 'the rung reached',
            self::ProtocolScore => 'points of a protocol',
        };
    }
}
