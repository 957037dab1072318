<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\GoTables;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Quantiles;

/**
 * What the work of a block takes, as a distribution: players of a lane one after the other, lanes and places side by side. It ends
 * once, with the slowest.
 */
final class WorkTime
{
    /**
     * @param  non-empty-list<SeatedCrew>  $places
     * @param  array<int, Pace>  $paces  player → pace
     */
    public static function of(
        GoTables $tables,
        array $places,
        array $paces,
        Dose $dose,
        ?float $limitSeconds,
        Memo $memo,
    ): Quantiles {
        $goSeconds = $tables->pattern->goSeconds;
        if ($dose->clockedSetSeconds() !== null) {
            $goes = $tables->longest($places);

            return Quantiles::fixed(self::gaps($goes) + self::whole($goes) * $goSeconds);
        }
        [$ends, $alike] = [[], []];
        foreach ($places as $seated) {
            $gaps = self::gaps($tables->of($seated->crew));
            foreach ($tables->way->lanes($seated->crew) as $slots) {
                $own = array_map(
                    static fn (int $slot): Quantiles => self::own($dose, $paces[$seated->players[$slot]], $limitSeconds, $memo),
                    $slots,
                );
                // Lanes of players alike are worked out once.
                $who = implode(' ', array_map(static fn (Quantiles $one): string => (string) $one->mean, $own))." {$gaps}";
                $ends[] = $alike[$who] ??= array_reduce(
                    $own,
                    static fn (Quantiles $sum, Quantiles $one): Quantiles => $sum->plus($one),
                    Quantiles::fixed($gaps),
                );
            }
        }

        return Quantiles::largest($ends);
    }

    /**
     * Of a circuit everybody goes round together: each item waits for its last, and nobody begins the next before.
     *
     * @param  non-empty-list<non-empty-list<int>>  $shifts  players who go round at a time
     */
    public static function ofCircuit(CircuitDose $dose, array $shifts, Memo $memo): Quantiles
    {
        $sum = Quantiles::fixed(0.0);
        foreach ($shifts as $shift => $players) {
            $round = Quantiles::fixed(0.0);
            foreach ($dose->items as $i => $item) {
                $rest = $i < count($dose->items) - 1 ? $item->restSeconds : 0.0;
                $own = self::own($item->dose, $item->pace, null, $memo);
                $round = $round->plus($own->largestOfSame(count($players)))->plus(Quantiles::fixed($rest));
            }
            $swap = $shift > 0 ? GoPattern::SWAP_SECONDS : 0.0;
            $sum = $sum->plus($round->times((float) $dose->sets()))
                ->plus(Quantiles::fixed(($dose->sets() - 1) * $dose->restSeconds() + $swap));
        }

        return $sum;
    }

    /** All goes of one player, worked out once for all alike. */
    public static function own(Dose $dose, Pace $pace, ?float $limitSeconds, Memo $memo): Quantiles
    {
        $question = implode(' ', [
            'own', json_encode($dose->fields()), $pace->secondsPerRep, $pace->alpha(), $pace->beta(), $pace->fetchSeconds, $limitSeconds,
        ]);

        return $memo->of($question, static fn (): Quantiles => $dose->ownTime($pace, $limitSeconds, $memo));
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
