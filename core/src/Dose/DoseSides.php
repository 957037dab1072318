<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;

/** Whose turn it is, foot by foot: "10 each side" is not "10 in total". */
enum DoseSides: string
{
    /** The whole dose with the right foot, then the whole dose with the left: one shout fits the whole group (default). */
    case Each = 'each';
    /** One dose, the feet in turn. */
    case Alternating = 'alternating';
    /** One dose, feet as they come. */
    case Both = 'both';
    case Right = 'right';
    case Left = 'left';
    case Strong = 'strong';
    case Weaker = 'weaker';

    /** @return non-empty-list<Side> in the order they are worked */
    public function sidesFor(StrongFoot $strong): array
    {
        $first = $strong->foot();

        return match ($this) {
            self::Each => [Side::Right, Side::Left],
            self::Alternating => [Side::Alternating],
            self::Both => [Side::Both],
            self::Right => [Side::Right],
            self::Left => [Side::Left],
            self::Strong => [Side::ofFoot($first)],
            self::Weaker => [Side::ofFoot($first->other())],
        };
    }

    /** How often the whole dose is done. */
    public function count(): int
    {
        return $this === self::Each ? 2 : 1;
    }
}
