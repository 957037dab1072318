<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Statistics\Median;

/** Everything one player's marks on one record line say, whatever order they came in. */
final readonly class LineReading
{
    /** @param  list<SessionValue>  $days oldest first */
    private function __construct(public MarkKind $kind, public array $days)
    {
    }

    /** @param  list<Mark>  $marks */
    public static function of(MarkKind $kind, array $marks): self
    {
        $byDay = [];
        foreach ($marks as $mark) {
            if (! $mark->void) {
                $byDay[$mark->on->iso()][] = $mark->value;
            }
        }
        ksort($byDay);
        $days = [];
        foreach ($byDay as $day => $values) {
            $best = $kind->better() === Better::Higher ? max($values) : min($values);
            $days[] = new SessionValue(CalendarDate::fromIso($day), $best, Median::of($values), count($values));
        }

        return new self($kind, $days);
    }

    /** The day of the record: the first on which it was reached. Null without a valid mark. */
    public function recordDay(): ?SessionValue
    {
        $record = null;
        foreach ($this->days as $day) {
            if ($record === null || $this->kind->better()->prefers($day->best, $record->best)) {
                $record = $day;
            }
        }

        return $record;
    }

    public function lastDay(): ?SessionValue
    {
        return $this->days === [] ? null : $this->days[count($this->days) - 1];
    }
}
