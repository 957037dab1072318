<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Clock\Explained;
use FleetSparrow\Core\Clock\Laying;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\AgeDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Organisation\WorkingWay;
use FleetSparrow\Core\Plan\OwnPaces;

/** How the figures of a block came about, a sentence each. */
final class BlockReasons
{
    /**
     * @param  list<SeatedCrew>  $places
     * @param  float|null  $limitSeconds  when a go is stopped
     * @param  list<AgeDose>  $ages
     * @return list<string>
     */
    public static function of(
        Drill $drill,
        Dose $dose,
        Pace $pace,
        ClockRules $rules,
        Laying $laying,
        Explained $explained,
        WorkingWay $way,
        array $places,
        OwnPaces $own,
        ?float $limitSeconds,
        array $ages,
    ): array {
        $how = [
            ...($drill->usesBall ? [] : ['Footwork: no ball is used, so there is no time at the ball.']),
            $laying->sentence($rules->markerSeconds).($laying->seconds() > 0.0 ? $rules->setUp->sentence() : ''),
            $explained->sentence($rules).$rules->explain->sentence(),
        ];
        $largest = self::largest($places);
        $shifts = $largest === null ? 1 : $way->shifts($largest);
        if ($shifts > 1) {
            $how[] = sprintf('%d take turns at a place, %g s from one to the next.', $shifts, GoPattern::SWAP_SECONDS);
        }
        $seconds = $largest === null
            ? $pace->secondsPerRep
            : $way->secondsPerRep($largest, $pace->secondsPerRep, $dose->clockedSetSeconds());
        // What a whole round of a circuit takes says nothing of a rep.
        $isCircuit = $dose->kind() === 'circuit';
        if (! $isCircuit) {
            $how[] = $largest === null || $seconds === $pace->secondsPerRep
                ? self::rep($pace, $own, $drill->usesBall)
                : sprintf(
                    '%d together with %d %s: each has %.1f turns a minute, one every %.0f s on average.',
                    $largest->people(),
                    $way->balls($largest),
                    $way->balls($largest) === 1 ? 'ball' : 'balls',
                    60.0 / $seconds,
                    $seconds,
                );
        }
        if ($limitSeconds !== null) {
            $how[] = sprintf(
                'A go that lasts is stopped after %d:%02d: what was reached then is written.',
                intdiv((int) $limitSeconds, 60),
                (int) $limitSeconds % 60,
            );
        }
        if ($dose->kind() === 'quota') {
            $how[] = sprintf(
                'Chance of a good one: the drill\'s own %d%%, weighed as 10 tries, and the others\' tries; %d of %d players '
                    .'have tries of their own. Each side ends with its slowest worker.',
                (int) round(100 * $drill->goodChance),
                $own->withTries,
                count($own->byPlayer),
            );
        }
        if ($dose->kind() === 'race') {
            $how[] = 'Each go ends with its slowest worker.';
        }
        if ($isCircuit) {
            $how[] = 'Items follow each other without stopping: the sum of their times and of the rests between.';
        }

        if ($ages !== []) {
            $how[] = 'Times and touches go by the planned dose, those of another age with it.';
        }

        return $how;
    }

    private static function rep(Pace $pace, OwnPaces $own, bool $usesBall): string
    {
        if ($own->withSeconds === 0) {
            return sprintf('A rep is %.1f s', $pace->secondsPerRep).($usesBall ? ', so touches are estimated, not counted.' : '.');
        }
        $seconds = array_map(static fn (Pace $one): float => $one->secondsPerRep, $own->byPlayer);

        [$quickest, $slowest] = array_map(static fn (float $one): string => sprintf('%.2f', $one), [min($seconds), max($seconds)]);

        return sprintf(
            'A rep is %s s: the drill\'s own %.2f s, weighed as 3 days, with the numbers of %d of %d players on %d %s between them.',
            $quickest === $slowest ? $slowest : "{$quickest} to {$slowest}",
            $pace->secondsPerRep,
            $own->withSeconds,
            count($own->byPlayer),
            $own->days,
            $own->days === 1 ? 'day' : 'days',
        );
    }

    /** @param  list<SeatedCrew>  $places */
    private static function largest(array $places): ?Crew
    {
        $largest = null;
        foreach ($places as $at) {
            $largest = $largest === null || $at->crew->people() > $largest->people() ? $at->crew : $largest;
        }

        return $largest;
    }
}
