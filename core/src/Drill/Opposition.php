<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** Who stands in the way, from easiest to hardest. */
enum Opposition: string
{
    case None = 'none';
    case Marker = 'marker';
    case Shadow = 'shadow';
    /** Held by the shoulder, then let go. */
    case HeldThenLetGo = 'held-then-let-go';
    case Live = 'live';

    public function words(): string
    {
        return match ($this) {
            self::None => 'nobody',
            self::Marker => 'a marker',
            self::Shadow => 'a shadow that does not tackle',
            self::HeldThenLetGo => 'a defender held by the shoulder, then let go',
            self::Live => 'a live defender',
        };
    }
}
