<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** The side a mark belongs to: one leading foot, both in one try, or the feet in turn. */
enum Side: string
{
    case Right = 'R';
    case Left = 'L';
    case Both = 'both';
    case Alternating = 'alternating';

    public static function ofFoot(Foot $foot): self
    {
        return $foot === Foot::Right ? self::Right : self::Left;
    }
}
