<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

/** What a coach asks for ready-made, beside a theme. */
enum Wish: string
{
    case Anything = 'anything';
    /** The weaker foot only, wherever a dose has a side to choose. */
    case WeakerFoot = 'weaker-foot';
    /** As much as possible on markers that stay where they are. */
    case SharedLayout = 'shared-layout';
    /** Something of each of two sessions that were run. */
    case JoinTwo = 'join-two';
    /** Five by five metres and no wall, as under a roof. */
    case RainyCorner = 'rainy-corner';
}
