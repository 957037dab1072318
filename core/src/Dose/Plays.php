<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Chances;
use FleetSparrow\Core\Statistics\Quantiles;

/**
 * All goes of one player played out at evenly spread points (Kronecker's sequence by square roots of primes): the player's own chance,
 * a node of the Beta, and own factor of pace, log-normal, are kept over all goes; each go has a draw of its own.
 */
final class Plays
{
    /** How often; this tool's own value. */
    private const COUNT = 512;

    private const FACTORS = 256;

    private const FEW_FACTORS = 8;

    /** The first directions of the sequence that fills a square most evenly: 1 ÷ ρ and 1 ÷ ρ², ρ³ = ρ + 1. */
    private const GOLDEN = [0.7548776662466927, 0.5698402909980532];

    private const PRIMES = [
        3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53, 59, 61, 67, 71, 73, 79, 83, 89, 97, 101, 103, 107, 109, 113, 127,
    ];

    /**
     * @param  int  $goes  how many, one after the other
     * @param  float|null  $limitSeconds  when a coach stops a go; null for never
     * @param  callable(int, float, float, float): float  $go  node, chance, factor of pace and an even draw → seconds of one go
     */
    public static function of(Pace $pace, int $goes, ?float $limitSeconds, Memo $memo, callable $go): Quantiles
    {
        $chances = self::nodes($pace, $memo);
        $factors = $memo->of('many factors', static fn (): array => self::logNormal(self::FACTORS));
        $roots = [self::GOLDEN[1]];
        for ($g = 1; $g < $goes; $g++) {
            $roots[] = sqrt(self::PRIMES[$g % count(self::PRIMES)] + intdiv($g, count(self::PRIMES)));
        }
        $limit = $limitSeconds ?? INF;
        $times = [];
        for ($i = 0; $i < self::COUNT; $i++) {
            $node = intdiv($i * Chances::NODES, self::COUNT);
            $at = ($i + 0.5) * self::GOLDEN[0];
            $factor = $factors[(int) (($at - (int) $at) * self::FACTORS)];
            $time = 0.0;
            foreach ($roots as $root) {
                $draw = ($i + 0.5) * $root;
                $time += min($limit, $go($node, $chances[$node], $factor, $draw - (int) $draw));
            }
            $times[] = $time;
        }

        return Quantiles::of($times);
    }

    /**
     * Misses before so many good ones at each node of the player's chance, which stands at the middle of its cell there: so players
     * share what was worked out.
     *
     * @return list<non-empty-list<int>> node → equally likely numbers, growing
     */
    public static function misses(int $good, Pace $pace, Memo $memo): array
    {
        return array_map(static function (float $chance) use ($good, $memo): array {
            $cell = Chances::cell($chance);

            return $memo->of("misses {$good} {$cell}", static fn (): array => Chances::misses($good, Chances::ofCell($cell)));
        }, self::nodes($pace, $memo));
    }

    /** @return list<float> equally likely factors of a player's pace */
    public static function factors(Memo $memo): array
    {
        return $memo->of('factors', static fn (): array => self::logNormal(self::FEW_FACTORS));
    }

    /** @return list<float> */
    private static function logNormal(int $count): array
    {
        return Quantiles::logNormal(1.0, Pace::COEFFICIENT_OF_VARIATION, $count)->values;
    }

    /** @return list<float> equally likely chances of a good one */
    private static function nodes(Pace $pace, Memo $memo): array
    {
        return $memo->of("chances {$pace->alpha()} {$pace->beta()}", static fn (): array => Chances::nodes($pace->alpha(), $pace->beta()));
    }
}
