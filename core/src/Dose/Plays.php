<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Chances;
use FleetSparrow\Core\Statistics\LogNormals;
use FleetSparrow\Core\Statistics\NormalDistribution;
use FleetSparrow\Core\Statistics\Quantiles;

/**
 * All goes of one player played out at evenly spread points (Kronecker's sequence by square roots of primes): the player's own chance,
 * a node of the Beta, and own factor of pace, log-normal, are kept over all goes; each go has a draw of its own.
 */
final class Plays
{
    /** How often; this tool's own value. */
    private const COUNT = Chances::NODES << self::TO_A_NODE;

    /** Plays at a chance, as a power of two. */
    private const TO_A_NODE = 3;

    private const FEW_FACTORS = 8;

    /** The first directions of the sequence that fills a square most evenly: 1 ÷ ρ and 1 ÷ ρ², ρ³ = ρ + 1. */
    private const GOLDEN = [0.7548776662466927, 0.5698402909980532];

    private const PRIMES = [
        3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53, 59, 61, 67, 71, 73, 79, 83, 89, 97, 101, 103, 107, 109, 113, 127,
    ];

    /**
     * @param  int  $goes  how many, one after the other
     * @param  float|null  $limitSeconds  when a coach stops a go; null for never
     */
    public static function of(Pace $pace, int $goes, ?float $limitSeconds, Memo $memo, GoCounts $go): Played
    {
        $counts = self::counts($go, $pace, $memo);
        [$factors, $draws] = $memo->of("points {$goes}", static fn (): array => self::points($goes, $memo));
        [$fetch, $limit] = [$pace->fetchSeconds, $limitSeconds ?? INF];
        [$least, $each] = [$go->reps, $go->repsEach];
        [$fetching, $fetchingEach] = [$go->fetches * $fetch, $go->fetchesEach * $fetch];
        [$times, $all] = [[], 0.0];
        foreach ($factors as $i => $factor) {
            $here = $counts[$i >> self::TO_A_NODE];
            $seconds = $factor * $pace->secondsPerRep;
            $time = 0.0;
            foreach ($draws[$i] as $slice) {
                $number = (float) $here[$slice];
                $reps = $least + $number * $each;
                $taken = $reps * $seconds + $fetching + $number * $fetchingEach;
                if ($taken > $limit) {
                    // Stopped before the end: as many reps as in the share of the time.
                    $reps *= $limit / $taken;
                    $taken = $limit;
                }
                $all += $reps;
                $time += $taken;
            }
            $times[] = $time;
        }

        return new Played($times, $all / self::COUNT);
    }

    /**
     * At each node of the player's chance, which stands at the middle of its cell there: so players share what was worked out.
     *
     * @return list<list<int|float>> node → equally likely numbers
     */
    private static function counts(GoCounts $go, Pace $pace, Memo $memo): array
    {
        $counts = $memo->of($go->name, static fn (): CountsByChance => new CountsByChance($go));

        return array_map($counts->inCell(...), self::cells($pace, $memo));
    }

    /** @return list<float> equally likely factors of a player's pace */
    public static function factors(Memo $memo): array
    {
        return $memo->of('factors', static fn (): array => Quantiles::logNormal(
            1.0,
            Pace::COEFFICIENT_OF_VARIATION,
            NormalDistribution::middles(self::FEW_FACTORS),
        )->values);
    }

    /** @return array{list<float>, list<list<int>>} of each play the factor of pace, and the slice that each go draws */
    private static function points(int $goes, Memo $memo): array
    {
        $factors = LogNormals::of($memo, 1.0, Pace::COEFFICIENT_OF_VARIATION)->values;
        $roots = [self::GOLDEN[1]];
        for ($g = 1; $g < $goes; $g++) {
            $roots[] = sqrt(self::PRIMES[$g % count(self::PRIMES)] + intdiv($g, count(self::PRIMES)));
        }
        [$own, $draws] = [[], []];
        for ($i = 0; $i < self::COUNT; $i++) {
            $own[] = $factors[(int) (self::fraction($i, self::GOLDEN[0]) * count($factors))];
            $draws[] = array_map(static fn (float $root): int => (int) (self::fraction($i, $root) * Chances::SLICES), $roots);
        }

        return [$own, $draws];
    }

    private static function fraction(int $i, float $root): float
    {
        $at = ($i + 0.5) * $root;

        return $at - (int) $at;
    }

    /** @return list<int> the cells of equally likely chances of a good one */
    private static function cells(Pace $pace, Memo $memo): array
    {
        $logs = $memo->of('logs of angles', Chances::logsOfAngles(...));

        return $memo->of(
            "cells {$pace->alpha()} {$pace->beta()}",
            static fn (): array => array_map(intval(...), Chances::angles($pace->alpha(), $pace->beta(), $logs)),
        );
    }
}
