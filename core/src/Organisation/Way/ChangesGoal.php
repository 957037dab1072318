<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation\Way;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\Seat;

/**
 * Ways with goalkeepers: the first slots keep goal, and where the goal changes every so many minutes the next ones do, through all sets.
 * A change after each goal is an average, given as its minutes.
 */
trait ChangesGoal
{
    public function goes(Crew $crew, GoPattern $pattern): array
    {
        [$goes, $first] = [[], 0];
        $keepers = $this->inGoal($crew);
        $lasts = $keepers === 0 ? [1.0] : self::parts($pattern->goSeconds, $this->keeperSeconds);
        foreach ($pattern->sides as $side) {
            for ($set = 1; $set <= $pattern->sets; $set++) {
                foreach ($lasts as $part => $share) {
                    $isLast = $part === count($lasts) - 1;
                    $goes[] = new Go(
                        side: $side,
                        set: $set,
                        gapSeconds: $goes === [] || $part > 0 ? 0.0 : $pattern->restSeconds,
                        swapSeconds: 0.0,
                        seats: $this->seatsFrom($crew, $first),
                        owed: $isLast ? range(0, $crew->workers - 1) : [],
                        lasts: $share,
                    );
                    $first = $this->keeperSeconds > 0.0 ? ($first + $keepers) % $crew->workers : 0;
                }
            }
        }

        return $goes;
    }

    /**
     * Of a set, from one change of goal to the next.
     *
     * @return non-empty-list<float> shares of it
     */
    private static function parts(float $setSeconds, float $keeperSeconds): array
    {
        if ($keeperSeconds <= 0.0 || $keeperSeconds >= $setSeconds) {
            return [1.0];
        }
        $parts = [];
        for ($left = $setSeconds; $left > 1e-9; $left -= $keeperSeconds) {
            $parts[] = min($left, $keeperSeconds) / $setSeconds;
        }

        return $parts === [] ? [1.0] : $parts;
    }

    /** @return array<int, Seat> */
    private function seatsFrom(Crew $crew, int $first): array
    {
        $seats = $this->seats($crew);
        $turned = [];
        foreach ($seats as $slot => $seat) {
            $turned[$slot] = $slot < $crew->workers ? $seats[($slot - $first + $crew->workers) % $crew->workers]->at($slot) : $seat;
        }

        return $turned;
    }

    private function inGoal(Crew $crew): int
    {
        return min($this->keepers, intdiv($crew->workers, 2));
    }
}
