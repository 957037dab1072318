<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

/** A duty shared out over the season: those who have done it least are next, in list order between equals. */
final class Duties
{
    /**
     * @param  list<int>  $players  in list order
     * @param  array<int, int>  $done  player → times this season
     * @return list<int> as many as are needed, or all of them
     */
    public static function next(array $players, array $done, int $needed): array
    {
        if ($needed <= 0) {
            return [];
        }
        $order = array_keys($players);
        usort($order, static fn (int $a, int $b): int => [$done[$players[$a]] ?? 0, $a] <=> [$done[$players[$b]] ?? 0, $b]);

        return array_map(static fn (int $i): int => $players[$i], array_slice($order, 0, $needed));
    }
}
