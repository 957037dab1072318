<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

/** Numbers are written while the next go goes on; only what does not fit there costs time. */
final class Writing
{
    /**
     * @param  list<Spell>  $spells
     * @param  list<list<Owed>>  $owed  after each
     */
    public static function extraSeconds(array $spells, array $owed, float $secondsEach): float
    {
        $waiting = 0.0;
        foreach ($spells as $i => $spell) {
            $waiting = max(0.0, $waiting - $spell->seconds) + count($owed[$i]) * $secondsEach;
        }

        return $waiting;
    }
}
