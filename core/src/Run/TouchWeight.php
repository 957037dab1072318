<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

/** What became of a first touch; what is right is the drill's own. */
enum TouchWeight: string
{
    case Short = 'short';
    case Right = 'right';
    case Away = 'away';
}
