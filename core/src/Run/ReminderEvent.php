<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

use FleetSparrow\Core\Shared\CalendarDate;

/** One press beside a player's name. */
final readonly class ReminderEvent
{
    /** @param  string  $words  what is to be mended; empty where somebody is only watched */
    public function __construct(public int $playerId, public ReminderKind $kind, public string $words, public CalendarDate $on)
    {
    }

    /** The same however it was typed. */
    public function about(): string
    {
        return mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $this->words)));
    }
}
