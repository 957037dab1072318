<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** How a served ball comes: part of the record line. */
enum ServiceManner: string
{
    case Soft = 'soft';
    case Firm = 'firm';
    case Fired = 'fired';
    case BadOnPurpose = 'bad-on-purpose';

    public function words(): string
    {
        return match ($this) {
            self::Soft => 'soft',
            self::Firm => 'firm',
            self::Fired => 'fired in',
            self::BadOnPurpose => 'bad on purpose',
        };
    }
}
