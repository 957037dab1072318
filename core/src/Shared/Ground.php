<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** What is underfoot. Kept on every mark, since a ball runs differently on each. */
enum Ground: string
{
    case Grass = 'grass';
    case Turf = 'turf';
    case Hard = 'hard';
}
