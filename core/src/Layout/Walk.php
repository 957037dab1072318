<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Touch\Contact;
use FleetSparrow\Core\Touch\Group;
use FleetSparrow\Core\Touch\Item;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Script;

/**
 * One rep as points with the second at which each is reached, at one speed, for whoever draws it moving. A ball that is passed or
 * shot leaves the worker behind, who stands or goes their own way; any other ball takes the worker along.
 */
final readonly class Walk
{
    /** No ball is shown going faster, whatever a rep takes; this tool's own value. */
    private const FASTEST_METRES_PER_SECOND = 6.0;

    /**
     * @param  list<TimedPoint>  $ball
     * @param  list<TimedPoint>  $worker  none where the worker stands still
     */
    private function __construct(public array $ball, public array $worker, public float $seconds)
    {
    }

    /**
     * @param  float  $secondsPerRep  at the tempo to be shown
     * @return self|null null where the ball goes where the player takes it
     */
    public static function of(Layout $layout, Script $script, float $secondsPerRep): ?self
    {
        $path = $layout->ballPath();
        if ($path === null || count($path->points) < 2) {
            return null;
        }
        $own = $layout->runPath();
        $longest = max($path->lengthMetres, $own->lengthMetres ?? 0.0);
        $seconds = max($secondsPerRep, $longest / self::FASTEST_METRES_PER_SECOND);
        $ball = self::timed($path, $seconds);

        return new self($ball, match (true) {
            $own !== null && count($own->points) > 1 => self::timed($own, $seconds),
            self::leavesTheWorker($script->items) => [],
            default => $ball,
        }, $seconds);
    }

    /** @return list<TimedPoint> */
    private static function timed(BallPath $path, float $seconds): array
    {
        $gone = [0.0];
        foreach (array_slice($path->points, 1) as $i => $point) {
            $gone[] = $gone[$i] + $path->points[$i]->distanceMetres($point);
        }
        $all = max(1e-9, $gone[count($gone) - 1]);

        return array_map(
            static fn (Point $at, float $metres): TimedPoint => new TimedPoint($at, $seconds * $metres / $all),
            $path->points,
            $gone,
        );
    }

    /** @param  list<Item>  $items */
    private static function leavesTheWorker(array $items): bool
    {
        foreach ($items as $item) {
            if (
                $item instanceof Contact
                && in_array($item->purpose, [Purpose::Pass, Purpose::Shot], true)
                || $item instanceof Group
                && self::leavesTheWorker($item->items)
            ) {
                return true;
            }
        }

        return false;
    }
}
