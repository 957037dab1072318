<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Clock\SetUp;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Organisation\WorkTurn;
use FleetSparrow\Core\Plan\OwnPaces;
use FleetSparrow\Core\Rotation\PassingQueue;

/** How the figures of a block came about, a sentence each. */
final class BlockReasons
{
    /**
     * @param  list<WorkTurn>  $turns
     * @param  array<array-key, PassingQueue>  $queues
     * @return list<string>
     */
    public static function of(
        Drill $drill,
        Dose $dose,
        Pace $pace,
        ClockRules $rules,
        SetUp $laying,
        bool $known,
        array $turns,
        OwnPaces $own,
        array $queues,
    ): array {
        $how = [
            $laying->sentence($rules->markerSeconds).($laying->touched() > 0 ? $rules->setUp->sentence() : ''),
            ($known
                ? sprintf('Explaining: %g s, done in the last three sessions.', $rules->explainKnownSeconds)
                : sprintf('Explaining: %g s, new or not done lately.', $rules->explainNewSeconds)).$rules->explain->sentence(),
        ];
        if (count($turns) > 1) {
            $how[] = sprintf(
                '%d turns, %g s from one to the next.',
                count($turns),
                $rules->changeOverSeconds,
            ).$rules->changeOver->sentence();
        }
        $queue = self::longest($queues);
        $how[] = $queue === null
            ? self::rep($pace, $own)
            : sprintf(
                '%d in the pattern, %d %s, %.1f s from a pass to the next: each has %.1f turns a minute, one every %.0f s on average.',
                $queue->players,
                $queue->balls,
                $queue->balls === 1 ? 'ball' : 'balls',
                $queue->passSeconds,
                $queue->turnsPerMinute(),
                $queue->meanGapSeconds(),
            );
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
        if ($dose->kind() === 'circuit') {
            $how[] = 'Items follow each other without stopping: the sum of their times and of the rests between.';
        }

        return $how;
    }

    private static function rep(Pace $pace, OwnPaces $own): string
    {
        if ($own->withSeconds === 0) {
            return sprintf('A rep is %.1f s, so touches are estimated, not counted.', $pace->secondsPerRep);
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

    /** @param  array<array-key, PassingQueue>  $queues */
    private static function longest(array $queues): ?PassingQueue
    {
        return array_reduce(
            $queues,
            static fn (
                ?PassingQueue $most,
                PassingQueue $one,
            ): PassingQueue => $most === null || $one->players > $most->players ? $one : $most,
        );
    }
}
