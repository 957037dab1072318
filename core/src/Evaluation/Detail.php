<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

/** How much of a block is worked out. */
enum Detail
{
    /** Times only: for trying what would make a wait shorter. */
    case Waits;
    /** Times and touches only: for trying many variants. */
    case Times;
    /** With the stretches, who is together and who has which duty: what a run needs. */
    case Sheet;
    /** With the reasons, the kit and the warnings with their cures. */
    case All;
}
