<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

/** What is open beside each name: one thing a player at a time, the last that was said, until it is mended. */
final readonly class Reminders
{
    /**
     * @param  array<int, array<string, Reminder>>  $byPlayer  player id → about what → reminder, the last one last
     * @param  array<int, bool>  $watched  player id → whether to be looked at
     */
    private function __construct(private array $byPlayer, private array $watched)
    {
    }

    /** @param  iterable<ReminderEvent>  $events  in the order in which they were noted */
    public static function of(iterable $events): self
    {
        /** @var array<int, array<string, Reminder>> $byPlayer */
        $byPlayer = [];
        /** @var array<int, bool> $watched */
        $watched = [];
        foreach ($events as $event) {
            if ($event->kind->isPrivate()) {
                $watched[$event->playerId] = $event->kind === ReminderKind::Watch;

                continue;
            }
            $before = $byPlayer[$event->playerId][$event->about()] ?? null;
            if ($event->kind !== ReminderKind::Fixed) {
                unset($byPlayer[$event->playerId][$event->about()]);
            }
            $byPlayer[$event->playerId][$event->about()] = Reminder::after($before, $event);
        }

        return new self($byPlayer, array_filter($watched));
    }

    /** @return array<int, Reminder> player id → the last one that is open */
    public function open(): array
    {
        $open = [];
        foreach ($this->byPlayer as $player => $reminders) {
            foreach ($reminders as $reminder) {
                if ($reminder->isOpen()) {
                    $open[$player] = $reminder;
                }
            }
        }

        return $open;
    }

    /** @return list<Reminder> open ones first, then by when they were last said, the latest first */
    public function ofPlayer(int $playerId): array
    {
        $all = array_reverse(array_values($this->byPlayer[$playerId] ?? []));
        usort($all, static fn (Reminder $a, Reminder $b): int => $b->isOpen() <=> $a->isOpen());

        return $all;
    }

    /** @return list<int> players to be looked at */
    public function watched(): array
    {
        return array_keys($this->watched);
    }
}
