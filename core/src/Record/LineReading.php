<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Statistics\Median;

/** Everything one player's marks on one record line say, whatever order they came in. */
final readonly class LineReading
{
    /**
     * @param  list<SessionValue>  $days  with a valid try, oldest first
     * @param  array<string, int>  $openTries  ISO day → tries whose readings differ or are disputed, where there are any
     * @param  SessionValue|null  $before  the day of the record, where it lies before the days that were read
     */
    private function __construct(
        public MarkKind $kind,
        public array $days,
        public array $openTries,
        private ?SessionValue $before = null,
    ) {
    }

    /** @param  list<Mark>  $marks  standing ones: what has been superseded is left out */
    public static function of(MarkKind $kind, array $marks): self
    {
        $byDay = [];
        foreach ($marks as $i => $mark) {
            $byDay[$mark->on->iso()][$mark->try ?? "own {$i}"][] = $mark;
        }
        $days = [];
        $openTries = [];
        foreach ($byDay as $day => $tries) {
            $read = array_map(fn (array $readings): TryReading => TryReading::of($kind, $readings), array_values($tries));
            $open = count(array_filter($read, fn (TryReading $try): bool => $try->isOpen));
            if ($open > 0) {
                $openTries[$day] = $open;
            }
            $values = array_values(
                array_filter(array_map(fn (TryReading $try): ?float => $try->value, $read), fn (?float $value): bool => $value !== null),
            );
            if ($values !== []) {
                $best = $kind->better() === Better::Higher ? max($values) : min($values);
                $days[] = new SessionValue(
                    on: CalendarDate::fromIso($day),
                    best: $best,
                    median: Median::of($values),
                    tries: count($values),
                    total: array_sum($values),
                    openTries: $open,
                );
            }
        }

        return self::ofDays($kind, $days, $openTries);
    }

    /**
     * From days worked out before.
     *
     * @param  list<SessionValue>  $days
     * @param  array<string, int>  $openTries
     * @param  SessionValue|null  $before  the day of the record, where it lies before these
     */
    public static function ofDays(MarkKind $kind, array $days, array $openTries = [], ?SessionValue $before = null): self
    {
        if (! self::isInOrder($days)) {
            usort($days, fn (SessionValue $a, SessionValue $b): int => $a->on->compareTo($b->on));
        }
        ksort($openTries);

        return new self($kind, $days, $openTries, $before);
    }

    /**
     * As a database mostly gives them.
     *
     * @param  list<SessionValue>  $days
     */
    private static function isInOrder(array $days): bool
    {
        for ($i = 1; $i < count($days); $i++) {
            [$one, $next] = [$days[$i - 1]->on, $days[$i]->on];
            if ([$one->year, $one->month, $one->day] > [$next->year, $next->month, $next->day]) {
                return false;
            }
        }

        return true;
    }

    /** The day of the record: the first on which it was reached. Null without a valid mark. */
    public function recordDay(): ?SessionValue
    {
        $record = $this->before;
        foreach ($this->days as $day) {
            if ($record === null || $this->kind->better()->prefers($day->best, $record->best)) {
                $record = $day;
            }
        }

        return $record;
    }

    /** The record, where it was set on a day: the first number of a line is a start, and no record. */
    public function recordSetOn(CalendarDate $day): ?float
    {
        $record = $this->recordDay();

        $days = count($this->days) + ($this->before === null ? 0 : 1);

        return $record !== null && $days > 1 && $record->on->compareTo($day) === 0 ? $record->best : null;
    }

    public function lastDay(): ?SessionValue
    {
        return $this->days === [] ? null : $this->days[count($this->days) - 1];
    }
}
