<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Evidence;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Tally;

/** A player's touches over some days, counted and estimated told apart to the last sum. */
final readonly class TouchLedger
{
    /** @param  list<LedgerEntry>  $entries */
    private function __construct(
        public FootTouches $counted,
        public FootTouches $estimated,
        public Tally $tally,
        private array $entries,
    ) {
    }

    /** @param  list<LedgerEntry>  $entries */
    public static function of(array $entries): self
    {
        $counted = Tally::sum(array_map(static fn (LedgerEntry $one): Tally => $one->counted, $entries));
        $estimated = Tally::sum(array_map(static fn (LedgerEntry $one): Tally => $one->estimated, $entries));

        return new self(self::feet($counted), self::feet($estimated), $counted->plus($estimated), $entries);
    }

    public function all(): FootTouches
    {
        return $this->counted->plus($this->estimated);
    }

    /** @return array<string, CalendarDate> family → the last day it was met */
    public function lastByFamily(): array
    {
        $last = [];
        foreach ($this->entries as $entry) {
            $before = $last[$entry->family] ?? $entry->on;
            $last[$entry->family] = $entry->on->compareTo($before) > 0 ? $entry->on : $before;
        }

        return $last;
    }

    /** Of what was done with a ball: footwork has no touch. */
    public function ballMinutes(): float
    {
        $seconds = 0.0;
        foreach ($this->entries as $one) {
            $seconds += $one->estimated->contacts() + $one->counted->contacts() > 0.0 ? $one->workSeconds : 0.0;
        }

        return $seconds / 60.0;
    }

    /**
     * Touches with each surface of each foot.
     *
     * @return array<string, array<string, float>> L, R, ? or - → surface → touches
     */
    public function bySideAndSurface(): array
    {
        return $this->tally->bySideAndSurface();
    }

    /** @return array<string, float> purpose → touches, where there are any */
    public function byPurpose(): array
    {
        $touches = [];
        foreach (Purpose::cases() as $purpose) {
            $touches[$purpose->value] = $this->tally->contactsFor($purpose);
        }

        return array_filter($touches, static fn (float $count): bool => $count > 0.0);
    }

    /**
     * Week by week from the first to the last, those without touches too.
     *
     * @param  int<1, 7>  $firstDay  of the club's week
     * @return list<array{week: int, from: CalendarDate, touches: FootTouches}>
     */
    public function weeks(CalendarDate $from, CalendarDate $until, int $firstDay): array
    {
        $byWeek = [];
        foreach ($this->entries as $entry) {
            $week = SeasonWeek::number($from, $entry->on, $firstDay);
            if ($week !== null) {
                $byWeek[$week] = ($byWeek[$week] ?? new FootTouches)->plus(self::feet($entry->counted->plus($entry->estimated)));
            }
        }
        $start = SeasonWeek::startOf($from, $firstDay);
        $weeks = [];
        for ($week = 1; $week <= (SeasonWeek::number($from, $until, $firstDay) ?? 0); $week++) {
            $weeks[] = [
                'week' => $week,
                'from' => $start->plusDays(7 * ($week - 1)),
                'touches' => $byWeek[$week] ?? new FootTouches,
            ];
        }

        return $weeks;
    }

    public function evidence(): Evidence
    {
        $drills = array_unique(array_map(static fn (LedgerEntry $one): string => $one->drill, $this->entries));
        $days = array_unique(array_map(static fn (LedgerEntry $one): string => $one->on->iso(), $this->entries));

        return new Evidence(
            'Counted: where the number of a set says how much was done, that many times the touches of the drill\'s script. Estimated: all '
                .'other sets, as the session was planned for whoever came. A touch whose foot the script leaves open is of an unknown side '
                .'and is never split.',
            [
                round($this->counted->total()).' counted and '.round($this->estimated->total()).' estimated touches.',
                sprintf('%d drills on %d days.', count($drills), count($days)),
            ],
            count($this->entries),
            'Scripts of the drill book; this tool\'s own way of adding up.',
        );
    }

    private static function feet(Tally $tally): FootTouches
    {
        return new FootTouches(
            $tally->contactsOf(FootMark::Left),
            $tally->contactsOf(FootMark::Right),
            $tally->contactsOf(FootMark::Unknown),
            $tally->contactsOf(FootMark::None),
        );
    }
}
