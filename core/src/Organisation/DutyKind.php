<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

enum DutyKind: string
{
    case Keeper = 'keeper';
    /** Serves without working. */
    case Server = 'server';
    /** Counts and fetches where nobody serves. */
    case Counts = 'counts';
}
