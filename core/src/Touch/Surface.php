<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

/** The part of the body that meets the ball. */
enum Surface: string
{
    case Inside = 'in';
    case Outside = 'out';
    case Sole = 'sole';
    case Lace = 'lace';
    case Toe = 'toe';
    case Heel = 'heel';
    case Thigh = 'thigh';
    case Chest = 'chest';
    case Shoulder = 'shoulder';
    case Head = 'head';
    case Unknown = '?';

    /** Chest and head belong to no side, so they are written with `-`. */
    public function hasNoFoot(): bool
    {
        return $this === self::Chest || $this === self::Head;
    }
}
