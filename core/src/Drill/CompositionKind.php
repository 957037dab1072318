<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** How a script is put together. */
enum CompositionKind: string
{
    case Single = 'single';
    case Combination = 'combination';
    case BuildUp = 'build-up';
    case Circuit = 'circuit';
}
