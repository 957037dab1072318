<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

/** What a contact is for; `First` is the first touch of a ball received. */
enum Purpose: string
{
    case First = 'first';
    case Control = 'control';
    case Pass = 'pass';
    case Shot = 'shot';
}
