<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

/** When a layout gets onto the ground. */
enum LaidWhen: string
{
    case Before = 'before';
    case Meanwhile = 'meanwhile';
    case Between = 'between';
}
