<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Caution\HeadersPlanned;
use FleetSparrow\Core\Caution\HeadingLimit;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;

/** What a coach should know of a block before the whistle: with its cheapest cure. */
final class BlockWarnings
{
    /** Longer than this at a stretch is too long to stand (default). */
    private const LONGEST_WAIT_SECONDS = 60.0;

    /**
     * @param  int  $inUse  stations laid out
     * @param  float  $waitSeconds  the longest stretch somebody stands
     * @param  float  $turnSeconds  a turn of work
     * @param  int  $stations  as planned
     * @param  array<string, Tally>  $touches  player id → touches of the block
     * @return list<Warning>
     */
    public static function of(Drill $drill, int $inUse, PlanContext $context, float $waitSeconds, float $turnSeconds, int $stations, array $touches): array
    {
        $fit = $context->area?->stations($drill->layout->footprint());

        return [
            ...self::heading($touches, $context->heading),
            ...self::waiting($waitSeconds, $turnSeconds, $stations, $fit),
            ...self::shortOfKit($drill, $inUse, $context->kit),
            ...self::shortOfRoom($inUse, $fit, $context->area),
        ];
    }

    /**
     * @param  array<string, Tally>  $touches
     * @return list<Warning>
     */
    private static function heading(array $touches, ?HeadingLimit $limit): array
    {
        $most = $limit === null ? 0.0 : max([0.0, ...array_values(array_map(static fn (Tally $tally): float => $tally->contactsWith(Surface::Head), $touches))]);
        $sentence = $limit === null ? null : HeadersPlanned::sentence($most, $limit);

        return $sentence === null ? [] : [new Warning($sentence, Cure::takeOut())];
    }

    /** @return list<Warning> */
    private static function waiting(float $waitSeconds, float $turnSeconds, int $stations, ?int $fit): array
    {
        if ($waitSeconds <= self::LONGEST_WAIT_SECONDS && $waitSeconds <= $turnSeconds) {
            return [];
        }
        $sentence = sprintf('Somebody waits %s and works %s.', self::clock($waitSeconds), self::clock($turnSeconds));

        return $fit !== null && $stations >= $fit
            ? [new Warning("{$sentence} There is no room for another station: work shorter, or in two groups.")]
            : [new Warning($sentence, Cure::stations($stations + 1))];
    }

    /** @return list<Warning> */
    private static function shortOfKit(Drill $drill, int $stations, KitOwned $owned): array
    {
        $enough = $stations - 1;
        while ($enough > 0 && $owned->shortages(Kit::of($drill->layout, $enough)) !== []) {
            $enough--;
        }

        return array_map(static fn (string $short): Warning => new Warning($short, $enough > 0 ? Cure::stations($enough) : null), $owned->shortages(Kit::of($drill->layout, $stations)));
    }

    /** @return list<Warning> */
    private static function shortOfRoom(int $stations, ?int $fit, ?Area $area): array
    {
        return match (true) {
            $area === null, $fit === null, $stations <= $fit => [],
            $fit === 0 => [new Warning(sprintf('One station does not fit into %s. Make it smaller, or turn it by hand.', $area->words()))],
            default => [new Warning(sprintf('Of %d stations only %d are sure to fit into %s.', $stations, $fit, $area->words()), Cure::stations($fit))],
        };
    }

    private static function clock(float $seconds): string
    {
        $whole = (int) round($seconds);

        return sprintf('%d:%02d', intdiv($whole, 60), $whole % 60);
    }
}
