<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** Who names the target of a go. */
enum TargetNaming: string
{
    case Order = 'order';
    case Caller = 'caller';
    case Worker = 'worker';

    public function words(): string
    {
        return match ($this) {
            self::Order => 'in order',
            self::Caller => 'a caller',
            self::Worker => 'the player before the ball comes',
        };
    }
}
