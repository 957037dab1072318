<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\GoTables;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Statistics\Quantiles;

/**
 * What the work of a block takes, as a distribution: players of a lane one after the other, lanes and places side by side. It ends
 * once, with the slowest.
 */
final class WorkTime
{
    /** Unlike lanes from which each is taken in fewer values; this tool's own value. */
    private const MANY = 4;

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
        [$lanes, $alike] = [[], []];
        foreach ($places as $seated) {
            $gaps = self::gaps($tables->of($seated->crew));
            foreach ($tables->way->lanes($seated->crew) as $slots) {
                $inLane = array_map(static fn (int $slot): Pace => $paces[$seated->players[$slot]], $slots);
                $who = implode(' ', array_map($own->question(...), $inLane))." {$gaps}";
                $lanes[$who] = [$inLane, $gaps];
                $alike[$who] = ($alike[$who] ?? 0) + 1;
            }
        }
        ksort($alike);
        $largest = static function () use ($lanes, $alike, $own): Quantiles {
            $ends = [];
            foreach ($alike as $who => $count) {
                array_push($ends, ...array_fill(0, $count, self::lane($own, ...$lanes[$who], isFine: count($lanes) < self::MANY)));
            }

            return Quantiles::largest($ends);
        };

        return $own->memo->kept('work '.hash('xxh128', serialize($alike)), $largest, Quantiles::class);
    }

    /**
     * One after the other at one place.
     *
     * @param  list<Pace>  $paces
     * @param  bool  $isFine  false among many lanes, whose largest is thinned anyway
     */
    private static function lane(OwnTimes $own, array $paces, float $gapSeconds, bool $isFine): Quantiles
    {
        $each = array_map(static fn (Pace $pace): Quantiles => $isFine ? $own->of($pace) : $own->of($pace)->thinned(), $paces);

        return Quantiles::sum([Quantiles::fixed($gapSeconds), ...$each]);
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
