<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** What a station needs beside its markers. */
enum Equipment: string
{
    case Ball = 'ball';
    case Wall = 'wall';
    case Goal = 'goal';
    /** Something to aim at: a hanging bib, a taped square, a bottle. */
    case Target = 'target';
}
