<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

use FleetSparrow\Core\Shared\CalendarDate;

/** What a player is to mend: since when, how often it was said, and when it was mended. */
final readonly class Reminder
{
    /** @param  CalendarDate|null  $fixedOn  null while it is open */
    public function __construct(
        public string $words,
        public int $times,
        public CalendarDate $since,
        public CalendarDate $lastOn,
        public ?CalendarDate $fixedOn,
    ) {
    }

    public function isOpen(): bool
    {
        return $this->fixedOn === null;
    }

    /** @param  self|null  $before  about the same; null where it is said for the first time */
    public static function after(?self $before, ReminderEvent $event): self
    {
        if ($event->kind === ReminderKind::Fixed) {
            return new self(
                $before->words ?? $event->words,
                $before->times ?? 0,
                $before->since ?? $event->on,
                $before->lastOn ?? $event->on,
                $before->fixedOn ?? $event->on,
            );
        }
        // What was mended and comes back begins anew.
        $open = $before?->isOpen() === true ? $before : null;

        return new self($event->words, ($open->times ?? 0) + 1, $open->since ?? $event->on, $event->on, null);
    }
}
