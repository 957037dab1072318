<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

/** What a block of a session is. */
enum BlockKind: string
{
    case Drill = 'drill';
    case Water = 'water';
    case Talk = 'talk';
    case Game = 'game';
}
