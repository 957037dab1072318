<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

/** What sends the ball back, where nobody does. */
enum HomeWall: string
{
    case None = 'no';
    case Couch = 'couch';
    case Wall = 'yes';

    /** From a couch or a turned table the ball comes back over a short way only; this tool's own value. */
    public const COUCH_MILLIMETRES = 3000;
}
