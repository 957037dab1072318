<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** Who stands at a place of a layout. */
enum PlaceRole: string
{
    case Worker = 'worker';
    case Server = 'server';
    /** Waits for the next turn. */
    case Queue = 'queue';
    case Keeper = 'keeper';
    /** Names the colour, the number or the target. */
    case Caller = 'caller';
}
