<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Layout\Kit;

/** What a coach should know of a block before the whistle: a sentence each, with its cheapest cure. */
final class BlockWarnings
{
    /** Longer than this at a stretch is too long to stand (default). */
    private const LONGEST_WAIT_SECONDS = 60.0;

    /**
     * @param  int  $inUse  stations laid out
     * @param  float  $waitSeconds  the longest stretch somebody stands
     * @param  float  $turnSeconds  a turn of work
     * @param  int  $stations  as planned
     * @return list<string>
     */
    public static function of(Drill $drill, int $inUse, PlanContext $context, float $waitSeconds, float $turnSeconds, int $stations): array
    {
        return [
            ...self::waiting($waitSeconds, $turnSeconds, $stations),
            ...$context->kit->shortages(Kit::of($drill->layout, $inUse)),
            ...self::shortOfRoom($drill, $inUse, $context->area),
        ];
    }

    /** @return list<string> */
    private static function waiting(float $waitSeconds, float $turnSeconds, int $stations): array
    {
        return $waitSeconds > self::LONGEST_WAIT_SECONDS || $waitSeconds > $turnSeconds
            ? [sprintf('Somebody waits %s and works %s. Make it %d stations.', self::clock($waitSeconds), self::clock($turnSeconds), $stations + 1)]
            : [];
    }

    /** @return list<string> */
    private static function shortOfRoom(Drill $drill, int $stations, ?Area $area): array
    {
        $fit = $area?->stations($drill->layout->footprint());

        return match (true) {
            $area === null, $fit === null, $stations <= $fit => [],
            $fit === 0 => [sprintf('One station does not fit into %s. Make it smaller, or turn it by hand.', $area->words())],
            default => [sprintf('Of %d stations only %d are sure to fit into %s. Make it %d, or smaller ones.', $stations, $fit, $area->words(), $fit)],
        };
    }

    private static function clock(float $seconds): string
    {
        $whole = (int) round($seconds);

        return sprintf('%d:%02d', intdiv($whole, 60), $whole % 60);
    }
}
