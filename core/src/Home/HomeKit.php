<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

/** What there is to practise with. Socks, bottles or shoes stand in for markers and small targets. */
enum HomeKit: string
{
    case Things = 'things';
    case BallOnly = 'ball';
    case Nothing = 'nothing';

    public function hasBall(): bool
    {
        return $this !== self::Nothing;
    }

    public function hasMarkers(): bool
    {
        return $this === self::Things;
    }
}
