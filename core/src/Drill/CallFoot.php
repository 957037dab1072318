<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** Which foot a called place asks for, seen from where the ball comes. */
enum CallFoot: string
{
    case Any = 'any';
    case Far = 'far';
    case Near = 'near';
}
