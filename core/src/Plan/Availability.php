<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;

/** What a player who is there may do today. */
enum Availability: string
{
    case Everything = 'everything';
    case ServesOnly = 'serves-only';
    case NoStriking = 'no-striking';
    case NoHeading = 'no-heading';

    /** Whether the player may join in a game. */
    public function mayPlay(): bool
    {
        return $this !== self::ServesOnly;
    }

    /** Whether the player may join in a block: in water and talk everybody does. */
    public function mayJoin(BlockKind $kind, ?Drill $drill): bool
    {
        return match ($kind) {
            BlockKind::Drill => $drill === null || $this->mayWorkIn($drill),
            BlockKind::Game => $this->mayPlay(),
            BlockKind::Water, BlockKind::Talk => true,
        };
    }

    /** Whether the player may work in this drill; who may not serves, counts or fetches there. */
    public function mayWorkIn(Drill $drill): bool
    {
        return match ($this) {
            self::Everything => true,
            self::ServesOnly => false,
            self::NoStriking => $drill->family !== Family::Striking && Tally::of($drill->script)->contactsFor(Purpose::Shot) === 0.0,
            self::NoHeading => Tally::of($drill->script)->contactsWith(Surface::Head) === 0.0,
        };
    }
}
