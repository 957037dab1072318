<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** Which foot a player prefers; `Both` when neither is weaker. */
enum StrongFoot: string
{
    case Right = 'R';
    case Left = 'L';
    case Both = 'both';

    /** The preferred foot; right where neither is preferred, so that a side can still be named. */
    public function foot(): Foot
    {
        return $this === self::Left ? Foot::Left : Foot::Right;
    }
}
