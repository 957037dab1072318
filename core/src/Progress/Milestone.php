<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Shared\CalendarDate;

/** The highest milestone a player has passed on a line, and the day it was first reached. */
final readonly class Milestone
{
    private function __construct(public int $value, public CalendarDate $on)
    {
    }

    /** Null where less is better, where none is passed, and where the first day of all passed it: that is a start. */
    public static function of(LineReading $line): ?self
    {
        $record = $line->recordDay();
        if ($line->kind->better() !== Better::Higher || $record === null || $line->days === []) {
            return null;
        }
        $passed = array_filter(Target::MILESTONES, static fn (int $one): bool => $one <= $record->best);
        $highest = $passed === [] ? 0 : max($passed);
        foreach ($highest === 0 ? [] : $line->days as $i => $day) {
            if ($day->best >= $highest) {
                return $i === 0 ? null : new self($highest, $day->on);
            }
        }

        return null;
    }
}
