<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Run;

use FleetSparrow\Core\Run\Reminder;
use FleetSparrow\Core\Run\ReminderEvent;
use FleetSparrow\Core\Run\ReminderKind;
use FleetSparrow\Core\Run\Reminders;
use FleetSparrow\Core\Shared\CalendarDate;
use PHPUnit\Framework\TestCase;

final class RemindersTest extends TestCase
{
    private static function event(string $kind, string $words, string $on, int $player = 1): ReminderEvent
    {
        return new ReminderEvent($player, ReminderKind::from($kind), $words, CalendarDate::fromIso($on));
    }

    /** @return list<mixed> */
    private static function told(?Reminder $one): array
    {
        return $one === null ? [] : [$one->words, $one->times, $one->since->iso(), $one->lastOn->iso(), $one->fixedOn?->iso()];
    }

    public function test_what_was_said_comes_back_until_it_is_mended(): void
    {
        $events = [self::event('said', 'Far foot', '2026-03-03'), self::event('again', ' far  FOOT', '2026-03-10')];
        self::assertSame(
            [' far  FOOT', 2, '2026-03-03', '2026-03-10', null],
            self::told(Reminders::of($events)->open()[1]),
        );
        $events[] = self::event('fixed', 'far foot', '2026-03-12');
        self::assertSame([], Reminders::of($events)->open());
        self::assertSame('2026-03-12', Reminders::of($events)->ofPlayer(1)[0]->fixedOn?->iso());
    }

    public function test_what_was_mended_and_comes_back_begins_anew(): void
    {
        $reminders = Reminders::of([
            self::event('said', 'bend', '2026-03-03'), self::event('again', 'bend', '2026-03-05'),
            self::event('fixed', 'bend', '2026-03-10'), self::event('fixed', 'bend', '2026-03-11'),
            self::event('said', 'bend', '2026-04-02'),
        ]);
        self::assertSame(['bend', 1, '2026-04-02', '2026-04-02', null], self::told($reminders->open()[1]));
    }

    public function test_one_thing_beside_a_name_the_last_that_was_said(): void
    {
        $events = [
            self::event('said', 'bend', '2026-03-03'), self::event('said', 'look up', '2026-03-03'),
            self::event('again', 'bend', '2026-03-10'), self::event('said', 'lean over it', '2026-03-04', 2),
        ];
        $words = static fn (array $some): array => array_map(static fn (Reminder $one): string => $one->words, array_values($some));
        self::assertSame(['bend', 'lean over it'], $words(Reminders::of($events)->open()));
        $events[] = self::event('fixed', 'bend', '2026-03-12');
        $reminders = Reminders::of($events);
        // What is behind it is open still.
        self::assertSame('look up', $reminders->open()[1]->words);
        self::assertSame(['look up', 'bend'], $words($reminders->ofPlayer(1)));
    }

    public function test_mended_before_it_was_said_is_mended(): void
    {
        $reminders = Reminders::of([self::event('fixed', 'bend', '2026-03-12')]);
        self::assertSame([], $reminders->open());
        self::assertSame(['bend', 0, '2026-03-12', '2026-03-12', '2026-03-12'], self::told($reminders->ofPlayer(1)[0]));
        self::assertSame([], $reminders->ofPlayer(2));
    }

    public function test_who_is_watched_is_so_until_seen(): void
    {
        $events = [
            self::event('watch', '', '2026-03-03'), self::event('watch', '', '2026-03-03', 2), self::event('seen', '', '2026-03-05', 2),
        ];
        self::assertSame([1], Reminders::of($events)->watched());
        self::assertSame([], Reminders::of($events)->open());
    }
}
