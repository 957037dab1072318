<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Touch\Contact;
use FleetSparrow\Core\Touch\Group;
use FleetSparrow\Core\Touch\Item;
use FleetSparrow\Core\Touch\Script;

/**
 * The touches of one rep laid along the ball's way, at even distances: the i-th of n at (i − ½) ÷ n of its length. Only for
 * scripts that travel, with a part done as often as the path allows: a pass is struck where the player stands.
 */
final class PathStitches
{
    /** More would be a hatching, not a drawing. */
    public const MOST = 80;

    /**
     * @param  Script  $script  resolved for a leading foot
     * @return list<PathStitch> none where the ball has no way of its own, the script does not travel, or there are too many
     */
    public static function along(?BallPath $path, Script $script, int $timesAlongPath): array
    {
        $travels = array_filter($script->items, fn (Item $item): bool => $item instanceof Group && $item->isOpen()) !== [];
        $contacts = $travels ? self::contacts($script->items, $timesAlongPath) : [];
        $count = count($contacts);
        if ($path === null || $count === 0 || $count > self::MOST || count($path->points) < 2) {
            return [];
        }
        $legs = self::legs($path->points);
        $length = array_sum(array_column($legs, 'metres'));
        $stitches = [];
        foreach ($contacts as $i => $contact) {
            [$at, $radians] = self::at($legs, ($i + 0.5) / $count * $length);
            $stitches[] = new PathStitch($at, $contact->foot, $contact->surface, $radians);
        }

        return $stitches;
    }

    /**
     * @param  list<Item>  $items
     * @return list<Contact>
     */
    private static function contacts(array $items, int $openTimes): array
    {
        $contacts = [];
        foreach ($items as $item) {
            if ($item instanceof Contact) {
                $contacts[] = $item;
            } elseif ($item instanceof Group) {
                $once = self::contacts($item->items, $openTimes);
                for ($time = 0; $time < ($item->isOpen() ? $openTimes : $item->least); $time++) {
                    $contacts = [...$contacts, ...$once];
                }
            }
        }

        return $contacts;
    }

    /**
     * @param  non-empty-list<Point>  $points
     * @return list<array{from: Point, to: Point, metres: float}>
     */
    private static function legs(array $points): array
    {
        $legs = [];
        foreach (array_slice($points, 1) as $i => $to) {
            $legs[] = ['from' => $points[$i], 'to' => $to, 'metres' => $points[$i]->distanceMetres($to)];
        }

        return $legs;
    }

    /**
     * @param  list<array{from: Point, to: Point, metres: float}>  $legs
     * @return array{Point, float}
     */
    private static function at(array $legs, float $metres): array
    {
        foreach ($legs as $i => $leg) {
            if ($metres <= $leg['metres'] || $i === count($legs) - 1) {
                $radians = atan2($leg['to']->yMetres - $leg['from']->yMetres, $leg['to']->xMetres - $leg['from']->xMetres);

                return [$leg['from']->toward($radians, $metres), $radians];
            }
            $metres -= $leg['metres'];
        }

        return [$legs[0]['from'], 0.0];
    }
}
