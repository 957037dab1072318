<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

/** Numbers are written while the next go goes on; only what does not fit there costs time. */
final class Writing
{
    /** @param  list<Spell>  $spells */
    public static function extraSeconds(array $spells, float $secondsEach): float
    {
        $waiting = 0.0;
        foreach ($spells as $spell) {
            $waiting = max(0.0, $waiting - $spell->seconds) + count($spell->owed) * $secondsEach;
        }

        return $waiting;
    }
}
