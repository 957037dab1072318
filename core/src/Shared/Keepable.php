<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** An answer dear enough to be kept from one plan to the next. */
interface Keepable
{
    /** As bytes of this machine, so that nothing is lost. */
    public function packed(): string;

    /** @param  string  $bytes  as packed */
    public static function unpacked(string $bytes): self;
}
