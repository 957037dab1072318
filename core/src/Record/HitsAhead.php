<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** How many of n the next go is likely to hit: binomial, with the share of the last eight days. R: pbinom. */
final readonly class HitsAhead
{
    private const DAYS = 8;

    private const FEWEST = 4;

    private function __construct(private int $balls, private float $share)
    {
    }

    /**
     * Null with fewer than four days, and where all were hit or all missed: the share then says nothing of chance.
     *
     * @param  int  $balls  of one go, at least one
     */
    public static function of(LineReading $line, int $balls): ?self
    {
        $hits = array_map(static fn (SessionValue $day): float => min($day->best, (float) $balls), array_slice($line->days, -self::DAYS));
        $share = $hits === [] ? 0.0 : array_sum($hits) / count($hits) / $balls;

        return count($hits) < self::FEWEST || $share <= 0.0 || $share >= 1.0 ? null : new self($balls, $share);
    }

    /** The chance of so many hits or more. */
    public function chanceOf(float $hits): float
    {
        [$chance, $one] = [0.0, (1.0 - $this->share) ** $this->balls];
        for ($hit = 0; $hit <= $this->balls; $hit++) {
            $chance += $hit >= $hits ? $one : 0.0;
            $one *= ($this->balls - $hit) / ($hit + 1) * $this->share / (1.0 - $this->share);
        }

        return min(1.0, $chance);
    }

    /** The fewest hits that are reached no more often than this; all of them where even those are. */
    public function stretch(float $chance): float
    {
        $hits = 1.0;
        while ($hits < $this->balls && $this->chanceOf($hits) > $chance) {
            $hits++;
        }

        return $hits;
    }
}
