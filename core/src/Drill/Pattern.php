<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** How the people of a station work together. */
enum Pattern: string
{
    case Own = 'own';
    case Swap = 'swap';
    case TakeTurns = 'take-turns';
    case Together = 'together';
    case PassAndFollow = 'pass-and-follow';
    case Hunt = 'hunt';
    case Live = 'live';
    case Rotate = 'rotate';

    /** Whether a station takes more than its number: a line waits, a game grows, a hunt has more movers. */
    public function isShared(): bool
    {
        return in_array($this, [self::PassAndFollow, self::Hunt, self::Live, self::Rotate, self::Together], true);
    }

    public function words(): string
    {
        return match ($this) {
            self::Own => 'each by themselves',
            self::Swap => 'worker and server swap',
            self::TakeTurns => 'one after the other',
            self::Together => 'both work at once',
            self::PassAndFollow => 'pass and follow',
            self::Hunt => 'from one free server to the next, calling a name',
            self::Live => 'against each other',
            self::Rotate => 'from station to station',
        };
    }
}
