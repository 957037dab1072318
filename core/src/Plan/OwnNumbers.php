<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\PlainDose;
use FleetSparrow\Core\Record\MarkKind;

/**
 * What marks on the very same task say of a player for the next plan: how many tries turned out good, from quotas and runs,
 * and how long a rep takes, from counts in a time and races.
 */
final readonly class OwnNumbers
{
    /** Of each player and line so many days are looked at: older ones are another player's. */
    public const DAYS = 8;

    private function __construct(public int $made, public int $missed, public float $seconds, public int $days)
    {
    }

    /**
     * @param  float  $seconds  of a rep on average
     * @param  int  $days  on how many that was measured
     */
    public static function of(int $made, int $missed, float $seconds, int $days): self
    {
        return new self($made, $missed, $seconds, $days);
    }

    public static function none(): self
    {
        return new self(0, 0, 0.0, 0);
    }

    /** What a mark of this kind is measured by: good ones of a quota, seconds of a count, reps of a race; 0 where it says nothing. */
    public static function scale(MarkKind $kind, Dose $dose): float
    {
        $window = $dose instanceof PlainDose ? $dose->window() : [];

        return (float) match ($kind) {
            MarkKind::TriesForQuota => $window['good'] ?? 0,
            MarkKind::CountInTime => $dose->clockedSetSeconds() ?? 0,
            MarkKind::TimeForWork => $window['reps'] ?? 0,
            MarkKind::LongestRun => 1,
            default => 0,
        };
    }

    /** Whether marks of this kind are tries, each counted for itself; else they are read day by day. */
    public static function isOfTries(MarkKind $kind): bool
    {
        return $kind === MarkKind::TriesForQuota || $kind === MarkKind::LongestRun;
    }

    /**
     * With more marks of one line added.
     *
     * @param  int  $times  tries, or days
     * @param  float  $total  of their values
     */
    public function and(MarkKind $kind, float $scale, int $times, float $total): self
    {
        if (self::isOfTries($kind)) {
            // A quota of n took so many tries; a run of n were n good ones, and the drop that ended it.
            $made = $kind === MarkKind::LongestRun ? (int) $total : (int) $scale * $times;
            $missed = $kind === MarkKind::LongestRun ? $times : max(0, (int) $total - $made);

            return new self($this->made + $made, $this->missed + $missed, $this->seconds, $this->days);
        }
        if ($total <= 0.0) {
            return $this;
        }
        $seconds = $kind === MarkKind::CountInTime ? $scale * $times / $total : $total / $times / $scale;
        $days = $this->days + $times;

        return new self($this->made, $this->missed, ($this->seconds * $this->days + $seconds * $times) / $days, $days);
    }
}
