<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

/** What goes, the smallest loss first. */
enum CutKind: string
{
    case Rest = 'rest';
    case Set = 'set';
    case Block = 'block';
}
