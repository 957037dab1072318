<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\GoTables;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Statistics\Lattice;
use FleetSparrow\Core\Statistics\Quantiles;

/**
 * What the work of a block takes, as a distribution: players of a lane one after the other, lanes and places side by side. It ends
 * once, with the slowest.
 */
final class WorkTime
{
    /** Players from whom on each is taken as played, in no order: so many of them are no finer for it; this tool's own value. */
    private const MANY = 8;

    /**
     * @param  non-empty-list<SeatedCrew>  $places
     * @param  array<int, Pace>  $paces  player → pace
     */
    public static function of(GoTables $tables, array $places, array $paces, OwnTimes $own): Quantiles
    {
        if ($own->dose->clockedSetSeconds() !== null) {
            $goes = $tables->longest($places);

            return Quantiles::fixed(self::gaps($goes) + self::whole($goes) * $tables->pattern->goSeconds);
        }
        $lanes = self::lanes($tables, $places, $paces, $own);

        return $own->memo->kept(
            'work '.hash('xxh128', serialize(array_map(static fn (array $lane): int => $lane[2], $lanes))),
            static fn (): Quantiles => self::slowest($own, $lanes),
            Quantiles::class,
        );
    }

    /**
     * @param  non-empty-list<SeatedCrew>  $places
     * @param  array<int, Pace>  $paces  player → pace
     * @return non-empty-array<string, array{non-empty-list<Pace>, float, int<1, max>}> by who is in it: paces one after the other, the
     *     seconds in between, and how many such lanes there are
     */
    private static function lanes(GoTables $tables, array $places, array $paces, OwnTimes $own): array
    {
        $lanes = [];
        foreach ($places as $seated) {
            $gaps = self::gaps($tables->of($seated->crew));
            foreach ($tables->way->lanes($seated->crew) as $slots) {
                $inLane = array_map(static fn (int $slot): Pace => $paces[$seated->players[$slot]], $slots);
                $who = implode(' ', array_map($own->question(...), $inLane))." {$gaps}";
                $lanes[$who] = [$inLane, $gaps, ($lanes[$who][2] ?? 0) + 1];
            }
        }
        ksort($lanes);

        return $lanes;
    }

    /** @param  non-empty-array<string, array{non-empty-list<Pace>, float, int<1, max>}>  $lanes  as above */
    private static function slowest(OwnTimes $own, array $lanes): Quantiles
    {
        if (array_sum(array_map(static fn (array $lane): int => count($lane[0]), $lanes)) >= self::MANY) {
            return Quantiles::largestOfUnlike(array_map(
                static fn (array $lane): array => [self::lane($own, $lane[0], $lane[1]), $lane[2]],
                array_values($lanes),
            ));
        }
        $ends = [];
        foreach ($lanes as [$inLane, $gapSeconds, $count]) {
            $end = Quantiles::sum([Quantiles::fixed($gapSeconds), ...array_map($own->of(...), $inLane)]);
            array_push($ends, ...array_fill(0, $count, $end));
        }

        return Quantiles::largest($ends);
    }

    /**
     * One after the other at one place: each player's plays meet the others' in every mixture.
     *
     * @param  non-empty-list<Pace>  $paces
     * @return list<float> seconds, equally likely, in any order
     */
    private static function lane(OwnTimes $own, array $paces, float $gapSeconds): array
    {
        $each = array_map($own->inAnyOrder(...), $paces);
        while (count($each) > Lattice::DIRECTIONS) {
            $each = array_map(Lattice::sums(...), array_chunk($each, Lattice::DIRECTIONS));
        }
        $sums = Lattice::sums($each);
        foreach ($sums as $i => $sum) {
            $sums[$i] = $sum + $gapSeconds;
        }

        return $sums;
    }

    /**
     * Of a circuit, shift after shift.
     *
     * @param  non-empty-list<int>  $players  how many go round at a time
     */
    public static function ofCircuit(CircuitTimes $times, array $players): Quantiles
    {
        return Quantiles::sum([
            Quantiles::fixed((count($players) - 1) * GoPattern::SWAP_SECONDS),
            ...array_map($times->whole(...), $players),
        ]);
    }

    /**
     * As many whole goes: half a set is half of one.
     *
     * @param  list<Go>  $goes
     */
    public static function whole(array $goes): float
    {
        return array_sum(array_map(static fn (Go $go): float => $go->lasts, $goes));
    }

    /** @param  list<Go>  $goes */
    public static function gaps(array $goes): float
    {
        return array_sum(array_map(static fn (Go $go): float => $go->gapSeconds, $goes));
    }
}
