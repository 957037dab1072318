<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** Who sets the foot of a rep. */
enum SideSetBy: string
{
    case Dose = 'dose';
    case Arrival = 'arrival';
    case Worker = 'worker';
    case Server = 'server';

    public function words(): string
    {
        return match ($this) {
            self::Dose => 'the dose',
            self::Arrival => 'where the ball arrives',
            self::Worker => 'the worker names it',
            self::Server => 'the server names it',
        };
    }
}
