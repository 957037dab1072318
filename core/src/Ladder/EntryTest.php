<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Ladder;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\Drill;

/**
 * One short try of a few rungs, spread over the ladder: the highest that is met places a player at once, see `LadderPlace`. Each is done in
 * the drill's own window, so that the numbers stand on its line; only sets and rests are left out.
 */
final class EntryTest
{
    /** As many rungs as fit into about five minutes where each has a ball; this tool's own value. */
    public const RUNGS = 3;

    /**
     * @param  array<string, Drill>  $drills  of its rungs, by slug
     * @return list<array{drill: string, dose: Dose}> the easiest first
     */
    public static function of(Ladder $ladder, array $drills): array
    {
        $tried = [];
        foreach (self::spread(count($ladder->rungs)) as $place) {
            $drill = $drills[$ladder->rungs[$place]->drill];
            if ($drill->dose !== null && $drill->rule !== null) {
                $tried[] = ['drill' => $drill->slug, 'dose' => self::once($drill, $drill->dose)];
            }
        }

        return $tried;
    }

    /** @return list<int> of so many rungs, the lowest at 0: evenly spread, neither the lowest nor the top where there are many */
    private static function spread(int $rungs): array
    {
        if ($rungs <= self::RUNGS) {
            return range(0, $rungs - 1);
        }

        return array_map(
            static fn (int $i): int => (int) floor(($i + 0.5) * $rungs / self::RUNGS),
            range(0, self::RUNGS - 1),
        );
    }

    private static function once(Drill $drill, Dose $dose): Dose
    {
        $fields = $dose->fields();

        return array_key_exists('sets', $fields) ? $drill->doseFrom(['sets' => 1] + $fields) : $dose;
    }
}
