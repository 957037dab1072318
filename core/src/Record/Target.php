<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/**
 * The next number to beat, why it is that number, and how likely it is. It always lies within what can be: at the best there can be it
 * says so, and what would be harder.
 *
 * Milestones 1, 2, 3, 10, 20, 25, 100 and 500 are common practice, no source; 5, 50 and 200 are this tool's own.
 */
final readonly class Target
{
    public const MILESTONES = [1, 2, 3, 5, 10, 20, 25, 50, 100, 200, 500];

    /** What may begin with a milestone before there is any number: catching on goes by one, two, three. */
    private const FROM_THE_FIRST = [MarkKind::LongestRun, MarkKind::RunningTotal, MarkKind::ChainSteps];

    /**
     * @param  float|null  $chance  of the next day to reach it; null with too few days to say
     * @param  string|null  $harder  at the best there can be, what comes next
     */
    private function __construct(
        public float $value,
        public string $because,
        public ?float $chance = null,
        public ?string $harder = null,
    ) {
    }

    /** Null when there is nothing yet to go by: the first number is then the one to set. */
    public static function of(LineReading $line, Aim $aim): ?self
    {
        $target = match ($aim->school) {
            TargetSchool::Milestones => self::milestone($line, $aim),
            TargetSchool::Fixed => self::fixed($line, $aim),
            TargetSchool::Stretch => self::stretch($line, $aim),
            TargetSchool::LastPlusOne => self::beyond($line, $aim, $line->lastDay(), 'last time'),
            TargetSchool::OwnRecord => null,
        } ?? self::beyond($line, $aim, $line->recordDay(), 'own record');

        return $target === null ? null : new self(
            $target->value,
            $target->because,
            self::chance($line, $aim, $target->value),
            $target->harder,
        );
    }

    /** One step of the clock or count beyond a day's best. */
    private static function beyond(LineReading $line, Aim $aim, ?SessionValue $day, string $words): ?self
    {
        if ($day === null) {
            return null;
        }
        $kind = $line->kind;
        $step = $kind->better() === Better::Higher ? $kind->step() : -$kind->step();
        $next = round($day->best + $step, 2);

        return $aim->bounds->hold($next)
            ? new self($next, sprintf('%s %s, %s', $words, self::number($day->best), self::stepWords($kind, $step)))
            : self::ceiling($line, $aim);
    }

    private static function milestone(LineReading $line, Aim $aim): ?self
    {
        $record = $line->recordDay();
        if ($line->kind->better() !== Better::Higher || ($record === null && ! in_array($line->kind, self::FROM_THE_FIRST, true))) {
            return null;
        }
        foreach (self::MILESTONES as $milestone) {
            if (($record === null || $milestone > $record->best) && $aim->bounds->hold((float) $milestone)) {
                return new self((float) $milestone, 'next milestone');
            }
        }
        $measure = $line->kind->measure();

        return $aim->bounds->most < $measure->most && $record !== null && $record->best < $aim->bounds->most
            ? new self($aim->bounds->most, 'all there is')
            : null;
    }

    private static function fixed(LineReading $line, Aim $aim): ?self
    {
        $record = $line->recordDay();
        if ($aim->fixed === null || ! $aim->bounds->hold($aim->fixed)) {
            return null;
        }

        // Who has reached it goes on from the own record.
        return $record === null || $line->kind->better()->prefers($aim->fixed, $record->best)
            ? new self($aim->fixed, 'the number for this age')
            : null;
    }

    private static function stretch(LineReading $line, Aim $aim): ?self
    {
        [$better, $step] = [$line->kind->better(), $line->kind->step()];
        $hits = self::hits($line, $aim);
        if ($hits !== null) {
            $value = $hits->stretch($aim->stretchChance);
        } else {
            $reached = Prediction::of($line)?->reachedWith($aim->stretchChance, $better);
            if ($reached === null) {
                return null;
            }
            // Away from easy: up for what is better more, down for times. A hair of rounding error is none.
            $steps = $better === Better::Higher ? ceil($reached / $step - 1e-9) : floor($reached / $step + 1e-9);
            $value = round(max($aim->bounds->least, min($aim->bounds->most, $steps * $step)), 2);
        }

        return $line->recordDay()?->best === $aim->bounds->best($better)
            ? null
            : new self($value, sprintf('reached about %d times in 10', (int) round(10.0 * $aim->stretchChance)));
    }

    private static function chance(LineReading $line, Aim $aim, float $value): ?float
    {
        return self::hits($line, $aim)?->chanceOf($value) ?? Prediction::of($line)?->chanceOf($value, $line->kind->better());
    }

    private static function hits(LineReading $line, Aim $aim): ?HitsAhead
    {
        return $line->kind === MarkKind::HitsOfAttempts && $aim->bounds->most < $line->kind->measure()->most
            ? HitsAhead::of($line, (int) $aim->bounds->most)
            : null;
    }

    private static function ceiling(LineReading $line, Aim $aim): self
    {
        return new self($aim->bounds->best($line->kind->better()), 'own record, which cannot be bettered', harder: match ($line->kind) {
            MarkKind::HitsOfAttempts, MarkKind::TriesToFirstHit => 'Next: farther away, a smaller target, or the other foot.',
            MarkKind::TriesForQuota => 'Next: more good ones, farther, faster, or with fewer touches.',
            MarkKind::RunningTotal, MarkKind::LongestRun, MarkKind::SecondsHeld => 'Next: more of it, faster, or with the other foot.',
            MarkKind::ChainSteps, MarkKind::RungReached => 'Next: a longer chain, or the next rung.',
            MarkKind::TouchesOnPath, MarkKind::MostTouchesOnPath => 'Next: faster, or farther.',
            MarkKind::FarthestDistance => 'Next: higher, or with the other foot.',
            MarkKind::CountInTime, MarkKind::TimeForWork, MarkKind::ProtocolScore => 'Next: a harder drill of the ladder.',
        });
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
        return floor($value) === $value ? (string) (int) $value : rtrim(sprintf('%.2f', $value), '0');
    }
}
