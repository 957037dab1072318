<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

use FleetSparrow\Core\Plan\PlanPlayer;

/** One turn of all stations: who works, and who serves them. Whoever is neither waits. */
final readonly class WorkTurn
{
    /**
     * @param  non-empty-list<PlanPlayer>  $working
     * @param  list<PlanPlayer>  $serving
     */
    private function __construct(public array $working, public array $serving)
    {
    }

    /**
     * @param  list<Station>  $shift
     * @param  non-empty-array<int, non-empty-list<PlanPlayer>>  $workingAt  station of the shift → who works there in this turn
     * @param  int  $servers  how many serve at a station
     */
    public static function of(array $shift, array $workingAt, int $servers): self
    {
        $serving = [];
        foreach ($shift as $at => $group) {
            $working = $workingAt[$at] ?? [];
            if ($working === []) {
                // With a server of their own they go on at their own pace while the pairs swap.
                $serving = $group->isHelped || $group->servers !== [] ? [...$serving, ...$group->workers, ...$group->servers] : $serving;

                continue;
            }
            $free = $servers;
            foreach ($free > 0 ? [...$group->servers, ...$group->workers] : [] as $one) {
                if ($free > 0 && ! in_array($one, $working, true)) {
                    $serving[] = $one;
                    $free--;
                }
            }
        }

        return new self(array_merge(...array_values($workingAt)), $serving);
    }
}
