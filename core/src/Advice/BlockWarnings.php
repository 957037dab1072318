<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Layout\Positions;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Organisation\Stationing;
use FleetSparrow\Core\Organisation\Way\PassAndFollow;
use FleetSparrow\Core\Organisation\WorkingWay;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Rotation\PassingQueue;
use FleetSparrow\Core\Shared\Cure;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Timeline\BlockEvaluation;

/** What a coach should know of a block before the whistle: with its cheapest cure. */
final class BlockWarnings
{
    /**
     * @param  list<SeatedCrew>  $places
     * @param  int|null  $fit  stations sure to fit into the area
     * @return list<Warning>
     */
    public static function of(
        Drill $drill,
        BlockEvaluation $evaluation,
        Stationing $stationing,
        WorkingWay $way,
        array $places,
        PlanContext $context,
        ?int $fit,
    ): array {
        return [
            ...self::nobodyWorks($stationing),
            ...self::served($drill, $stationing, $context),
            ...self::queue($way, $places, $drill, $stationing),
            ...self::shortOfKit($drill, $evaluation->kit ?? $drill->kit($stationing->inUse()), $context->kit),
            ...self::shortOfRoom($stationing->inUse(), $fit, $context->area),
        ];
    }

    /** @return list<Warning> */
    private static function nobodyWorks(Stationing $stationing): array
    {
        return $stationing->groups === [] ? [new Warning('Nobody who is here may work in this today.', Cure::takeOut(), 'nobody')] : [];
    }

    /** @return list<Warning> */
    private static function served(Drill $drill, Stationing $stationing, PlanContext $context): array
    {
        if ($stationing->unserved !== null) {
            return [
                new Warning(
                    'Somebody is alone here and has nobody to pass or serve.',
                    $context->helpers === 0 ? Cure::helper() : null,
                    'server',
                ),
            ];
        }
        $adults = 1 + $context->helpers;

        return $drill->organisation->coachServes && $stationing->inUse() > $adults
            ? [
                new Warning(
                    sprintf(
                        '%d stations need a grown-up each to serve, and there %s.',
                        $stationing->inUse(),
                        $adults === 1 ? 'is one' : "are {$adults}",
                    ),
                    Cure::stations($adults),
                    'server',
                ),
            ]
            : [];
    }

    /**
     * @param  list<SeatedCrew>  $places
     * @return list<Warning>
     */
    private static function queue(WorkingWay $way, array $places, Drill $drill, Stationing $stationing): array
    {
        $short = null;
        foreach ($way instanceof PassAndFollow ? $places : [] as $at) {
            $queue = PassingQueue::of($at->crew->people(), Positions::of($drill->layout), $way->balls($at->crew), 1.0);
            $short = $queue->players < $queue->playersNeeded() && ($short === null || $queue->players < $short->players) ? $queue : $short;
        }
        if ($short === null) {
            return [];
        }

        return [new Warning(
            sprintf(
                '%d players for %d positions and %d %s: a ball finds nobody, or a player meets their own pass. It needs %d.',
                $short->players,
                $short->positions,
                $short->balls,
                $short->balls === 1 ? 'ball' : 'balls',
                $short->playersNeeded(),
            ),
            $stationing->inUse() > 1 ? Cure::stations($stationing->inUse() - 1) : null,
            'queue',
        )];
    }

    /** @return list<Warning> */
    private static function shortOfKit(Drill $drill, Kit $needed, KitOwned $owned): array
    {
        $short = $owned->shortages($needed);
        $enough = $short === [] ? 0 : $owned->stations($drill->kit(1)) ?? 0;

        return array_map(
            static fn (string $short): Warning => new Warning($short, $enough > 0 ? Cure::stations($enough) : null, 'kit'),
            $short,
        );
    }

    /** @return list<Warning> */
    private static function shortOfRoom(int $stations, ?int $fit, ?Area $area): array
    {
        return match (true) {
            $area === null, $fit === null, $stations <= $fit => [],
            $fit === 0 => [
                new Warning(
                    sprintf('One station does not fit into %s. Make it smaller, or turn it by hand.', $area->words()),
                    null,
                    'room',
                ),
            ],
            default => [
                new Warning(
                    sprintf('Of %d stations only %d are sure to fit into %s.', $stations, $fit, $area->words()),
                    Cure::stations($fit),
                    'room',
                ),
            ],
        };
    }
}
