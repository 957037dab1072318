<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** Which ball a drill is done with. */
enum Ball: string
{
    case Usual = 'usual';
    case Soft = 'soft';
    case Small = 'small';

    public function words(): string
    {
        return match ($this) {
            self::Usual => 'the squad\'s own size',
            self::Soft => 'a soft, light ball',
            self::Small => 'a smaller ball',
        };
    }
}
