<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

/** What a block of a session is. */
enum BlockKind: string
{
    case Drill = 'drill';
    case Water = 'water';
    case Talk = 'talk';
    case Game = 'game';

    /** The stretch that a block of minutes is. */
    public function segment(): SegmentKind
    {
        return match ($this) {
            self::Water => SegmentKind::Water,
            self::Game => SegmentKind::Game,
            default => SegmentKind::Talk,
        };
    }
}
