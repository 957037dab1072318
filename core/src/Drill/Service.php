<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** How the ball comes to the worker; part of the record line, because the server is part of the result. */
enum Service: string
{
    case None = 'none';
    case Passed = 'passed';
    case Rolled = 'rolled';
    case Thrown = 'thrown';
    case Wall = 'wall';
}
