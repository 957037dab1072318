<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** A foot of a real player. */
enum Foot: string
{
    case Right = 'R';
    case Left = 'L';

    public function other(): self
    {
        return $this === self::Right ? self::Left : self::Right;
    }
}
