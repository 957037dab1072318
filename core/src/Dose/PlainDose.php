<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/** A dose that its own fields say all of; a circuit needs its items, too. */
interface PlainDose extends Dose
{
    /** @throws InvalidDose If a field is missing or cannot be carried out. */
    public static function fromFields(DoseFields $read): self;

    /** @return array<string, int|float|string> */
    public function window(): array;
}
