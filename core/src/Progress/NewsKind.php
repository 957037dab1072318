<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

/** What a coach does with a piece of news: praise it, mend it, or set it. */
enum NewsKind: string
{
    case Changed = 'changed';
    case Stuck = 'stuck';
    case Next = 'next';
}
