<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Shared\CalendarDate;

/** One measured result on a record line. A void or disputed try is kept but counts for nothing. */
final readonly class Mark
{
    /**
     * @param  string|null  $try  which try of the day this reads; marks that name the same try are readings of it. Null: a try of its own.
     */
    public function __construct(
        public CalendarDate $on,
        public float $value,
        public bool $void = false,
        public bool $disputed = false,
        public ?string $try = null,
    ) {
    }

    public function counts(): bool
    {
        return ! $this->void && ! $this->disputed;
    }
}
