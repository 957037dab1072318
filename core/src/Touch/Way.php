<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

/** Where the ball goes, as seen from the touching foot; mirroring leaves it as it is. */
enum Way: string
{
    case Forward = 'fwd';
    case Back = 'back';
    case Across = 'across';
    case Out = 'out';
    case Behind = 'behind';
    case Still = 'still';
    case Over = 'over';
}
