<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Plan\BlockKind;

/** What happens in one stretch of a session. Only work and rest of a timed dose end by themselves. */
enum SegmentKind: string
{
    case SetUp = 'set-up';
    case Explain = 'explain';
    case Work = 'work';
    case Rest = 'rest';
    case Write = 'write';
    case Change = 'change';
    case Water = 'water';
    case Talk = 'talk';
    case Game = 'game';

    /** The stretch that a block of minutes is. */
    public static function ofBlock(BlockKind $kind): self
    {
        return match ($kind) {
            BlockKind::Water => self::Water,
            BlockKind::Game => self::Game,
            default => self::Talk,
        };
    }
}
