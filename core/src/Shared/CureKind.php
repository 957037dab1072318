<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** What a press does about a warning. */
enum CureKind: string
{
    case Stations = 'stations';
    case TakeOut = 'take-out';
    case Water = 'water';
    case Helper = 'helper';
    case Dose = 'dose';
}
