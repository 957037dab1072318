<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

/** How hard a session was for the group as a whole, in one press at its end. */
enum HowHard: string
{
    case TooEasy = 'too-easy';
    case AboutRight = 'about-right';
    case TooHard = 'too-hard';
}
