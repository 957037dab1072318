<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/**
 * The next number to beat, and why it is that number.
 *
 * Milestones 1, 2, 3, 10, 20, 25, 100 and 500 are common practice, no source; 5, 50 and 200 are this tool's own.
 */
final readonly class Target
{
    public const MILESTONES = [1, 2, 3, 5, 10, 20, 25, 50, 100, 200, 500];

    private function __construct(public float $value, public string $because)
    {
    }

    /** Null when there is nothing yet to go by: the first number is then the one to set. */
    public static function of(LineReading $line, TargetSchool $school): ?self
    {
        $record = $line->recordDay();
        $last = $line->lastDay();
        if ($school === TargetSchool::Milestones && $line->kind->better() === Better::Higher) {
            return self::milestone($line->kind, $record);
        }
        if ($record === null || $last === null) {
            return null;
        }
        [$from, $words] = $school === TargetSchool::LastPlusOne
            ? [$last->best, 'last time']
            : [$record->best, 'own record'];

        return self::stepBeyond($line->kind, $from, $words);
    }

    private static function milestone(MarkKind $kind, ?SessionValue $record): self
    {
        foreach (self::MILESTONES as $milestone) {
            if ($record === null || $milestone > $record->best) {
                return new self((float) $milestone, 'next milestone');
            }
        }

        return self::stepBeyond($kind, $record->best, 'own record');
    }

    /** One step of the clock or count beyond a value; a number that cannot get better stays as it is. */
    private static function stepBeyond(MarkKind $kind, float $from, string $words): self
    {
        $step = $kind->better() === Better::Higher ? $kind->step() : -$kind->step();
        $next = round($from + $step, 1);
        if ($next < $kind->measure()->least || $next > $kind->measure()->most) {
            return new self($from, "{$words}, which cannot be bettered");
        }

        return new self($next, sprintf('%s %s, %s', $words, self::number($from), self::stepWords($kind, $step)));
    }

    private static function stepWords(MarkKind $kind, float $step): string
    {
        return match (true) {
            $step === 1.0 => 'and one',
            $step === -1.0 => 'less one',
            default => ($step > 0 ? 'and 0.1' : 'less 0.1').($kind === MarkKind::TimeForWork ? ' s' : ''),
        };
    }

    private static function number(float $value): string
    {
        return floor($value) === $value ? (string) (int) $value : sprintf('%.1f', $value);
    }
}
