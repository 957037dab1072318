<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

/** What somebody does in a spell. */
enum Role: string
{
    case Works = 'works';
    case Plays = 'plays';
    case Serves = 'serves';
    case KeepsGoal = 'keeps-goal';
    case Counts = 'counts';
    case Waits = 'waits';
    case Rests = 'rests';
    case ChangesOver = 'changes-over';
    case Listens = 'listens';
    case Drinks = 'drinks';
    case LaysOut = 'lays-out';
    case WritesDown = 'writes-down';

    /** At the ball, or in the game round it. */
    public function isActive(): bool
    {
        return $this === self::Works || $this === self::Plays || $this === self::KeepsGoal;
    }

    /** For others: the role counts, the ball is not theirs. */
    public function isService(): bool
    {
        return $this === self::Serves || $this === self::Counts;
    }

    /** Standing about with nothing of one's own to do, in whatever name. */
    public function isIdle(): bool
    {
        return match ($this) {
            self::Waits, self::ChangesOver, self::LaysOut, self::WritesDown => true,
            default => false,
        };
    }
}
