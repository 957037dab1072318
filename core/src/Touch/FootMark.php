<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use FleetSparrow\Core\Shared\Foot;

/** How a script names a foot: leading, other, a fixed side, unknown, or none (chest and head). */
enum FootMark: string
{
    case Leading = 'a';
    case Other = 'b';
    case Left = 'L';
    case Right = 'R';
    case Unknown = '?';
    case None = '-';

    /** The same movement started with the other foot. */
    public function mirrored(): self
    {
        return match ($this) {
            self::Leading => self::Other,
            self::Other => self::Leading,
            self::Left => self::Right,
            self::Right => self::Left,
            self::Unknown, self::None => $this,
        };
    }

    /** The real foot when `a` is the given one; unknown and none stay as they are. */
    public function resolved(Foot $leading): self
    {
        return match ($this) {
            self::Leading => self::ofFoot($leading),
            self::Other => self::ofFoot($leading->other()),
            default => $this,
        };
    }

    public static function ofFoot(Foot $foot): self
    {
        return $foot === Foot::Right ? self::Right : self::Left;
    }
}
