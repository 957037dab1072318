<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** How the next number to beat is chosen. The default is the own record: it asks for the least that is new. */
enum TargetSchool: string
{
    case OwnRecord = 'own-record';
    case LastPlusOne = 'last-plus-one';
    case Milestones = 'milestones';

    /** One number for everybody of an age. */
    case Fixed = 'fixed';

    /** What this player reaches with a chance that the squad has chosen. */
    case Stretch = 'stretch';
}
