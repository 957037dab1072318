<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use Closure;

/**
 * What chance decides of one go: a number (misses, drops, good ones in a row, balls), and how reps and fetches follow from it.
 */
final readonly class GoCounts
{
    /**
     * @param  string  $name  the same for whatever counts alike
     * @param  Closure(float): list<int|float>  $ofChance  chance of a good one → as many equally likely numbers as Chances::SLICES
     * @param  float  $reps  besides those the number brings
     * @param  float  $repsEach  that come with each of the number
     * @param  float  $fetches  besides those the number brings
     * @param  float  $fetchesEach  that come with each of the number
     */
    private function __construct(
        public string $name,
        public Closure $ofChance,
        public float $reps,
        public float $repsEach,
        public float $fetches,
        public float $fetchesEach,
    ) {
    }

    /**
     * Misses before so many good ones, each a rep more and a ball to fetch.
     *
     * @param  Closure(float): list<int|float>  $ofChance
     */
    public static function misses(int $good, Closure $ofChance): self
    {
        return new self("misses {$good}", $ofChance, reps: $good, repsEach: 1.0, fetches: 0.0, fetchesEach: 1.0);
    }

    /**
     * Drops within so many reps, each a ball to fetch.
     *
     * @param  Closure(float): list<int|float>  $ofChance
     */
    public static function drops(int $reps, Closure $ofChance): self
    {
        return new self("drops {$reps}", $ofChance, reps: $reps, repsEach: 0.0, fetches: 0.0, fetchesEach: 1.0);
    }

    /**
     * Reps up to an end that chance brings, and one fetch after them.
     *
     * @param  Closure(float): list<int|float>  $ofChance
     */
    public static function reps(string $name, Closure $ofChance): self
    {
        return new self($name, $ofChance, reps: 0.0, repsEach: 1.0, fetches: 1.0, fetchesEach: 0.0);
    }
}
