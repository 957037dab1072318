<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

use FleetSparrow\Core\Dose\CountedTime;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Shared\Memo;

/**
 * When a block of "only good ones count" is likely to be over: by the exact distribution of its misses, side after side and turn
 * after turn. What is judged beside it is laid over that in slices of equal chance.
 */
final readonly class CountedFinish
{
    /** Sides times turns up to which misses are added up value by value; a sum of more waits is as smooth as its three moments say. */
    private const MOST_WAITS = 8;

    private const SLICES = 16;

    /** @param  non-empty-list<float>  $judgedSeconds  one for each slice, growing */
    private function __construct(private array $judgedSeconds, private CountedTime $work)
    {
    }

    public static function of(DurationEstimate $judged, CountedTime $work): self
    {
        return new self($judged->variance <= 0.0 ? [$judged->meanSeconds] : FinishTime::of($judged)->middles(self::SLICES), $work);
    }

    /**
     * The work of all turns, rests between the sides included; null where there are too many waits to add up one by one, or
     * where a miss costs more in one turn than in another.
     *
     * @param  list<non-empty-list<Pace>>  $turns  who works in each
     */
    public static function tryWork(QuotaDose $dose, array $turns, Memo $memo = new Memo): ?CountedTime
    {
        $sides = $dose->sides()->count();
        $sum = null;
        foreach (count($turns) * $sides <= self::MOST_WAITS ? $turns : [] as $workers) {
            $side = $dose->sideTime($workers, $memo);
            for ($i = 0; $i < $sides; $i++) {
                $wait = CountedTime::of($side->fixedSeconds + ($i > 0 ? $dose->restSeconds() : 0.0), $side->secondsEach, $side->misses);
                $sum = $sum === null ? $wait : $sum->tryPlus($wait);
                if ($sum === null) {
                    return null;
                }
            }
        }

        return $sum;
    }

    /** Seconds by which a share of such blocks is over; share strictly between 0 and 1. */
    public function secondsReachedBy(float $share): float
    {
        $low = $this->judgedSeconds[0] + $this->work->fixedSeconds;
        $high = max($this->judgedSeconds) + $this->work->fixedSeconds + $this->work->secondsEach * count($this->work->misses->cumulative);
        while ($high - $low > 0.1) {
            $middle = ($low + $high) / 2.0;
            if ($this->chanceWithin($middle) < $share) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $high;
    }

    /** The chance to be over within so many seconds. */
    public function chanceWithin(float $seconds): float
    {
        $sum = 0.0;
        foreach ($this->judgedSeconds as $judged) {
            // A billionth of a miss, so that a time that is just reached counts.
            $sum += $this->work->misses->atMost(($seconds - $judged - $this->work->fixedSeconds) / $this->work->secondsEach + 1e-9);
        }

        return $sum / count($this->judgedSeconds);
    }
}
