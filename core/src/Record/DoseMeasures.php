<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\TriesDose;
use FleetSparrow\Core\Shared\Memo;

/** Which measures a dose can give: a count needs a clock, a time needs work that is done, a best run needs a run. */
final class DoseMeasures
{
    /** @return list<MarkKind> the usual first */
    public static function of(Dose $dose, Memo $memo = new Memo): array
    {
        $until = $dose instanceof TriesDose && $dose->untilHit ? 'until a hit' : '';

        return $memo->of("measures {$dose->kind()} {$until}", static fn (): array => self::all($dose));
    }

    /** @return list<MarkKind> */
    private static function all(Dose $dose): array
    {
        [$usual, $others] = [[], []];
        foreach (MarkKind::cases() as $kind) {
            $measure = $kind->measure();
            if (! self::gives($dose, $kind, $measure)) {
                continue;
            }
            if (in_array($dose->kind(), $measure->usualFor, true)) {
                $usual[] = $kind;
            } else {
                $others[] = $kind;
            }
        }

        return [...$usual, ...$others];
    }

    public static function fits(MarkKind $kind, Dose $dose): bool
    {
        return self::gives($dose, $kind, $kind->measure());
    }

    /**
     * The rule by which a number of this kind comes about in a drill: its own where it is of this kind; else what makes a rep count
     * and what voids it stay, and the clock is that of the measure.
     */
    public static function rule(MarkKind $kind, ?ScoringRule $own): ScoringRule
    {
        if ($own?->kind === $kind) {
            return $own;
        }
        [$starts, $stops] = self::clock($kind);

        return new ScoringRule(
            kind: $kind,
            starts: $starts,
            stops: $stops,
            countsIf: $own->countsIf ?? [],
            voids: $own->voids ?? [],
            words: $own->words ?? '',
        );
    }

    private static function gives(Dose $dose, MarkKind $kind, Measure $measure): bool
    {
        return (in_array($dose->kind(), $measure->usualFor, true) || in_array($dose->kind(), $measure->alsoFor, true)) && match (true) {
            ! $dose instanceof TriesDose => true,
            $kind === MarkKind::TriesToFirstHit => $dose->untilHit,
            $kind === MarkKind::HitsOfAttempts => ! $dose->untilHit,
            default => true,
        };
    }

    /** @return array{ClockStart, ClockStop} */
    private static function clock(MarkKind $kind): array
    {
        return match ($kind) {
            MarkKind::CountInTime => [ClockStart::Whistle, ClockStop::Whistle],
            MarkKind::TimeForWork, MarkKind::TouchesOnPath, MarkKind::MostTouchesOnPath => [ClockStart::FirstTouch, ClockStop::BallDead],
            MarkKind::LongestRun, MarkKind::ChainSteps, MarkKind::SecondsHeld => [ClockStart::FirstTouch, ClockStop::BallOnGround],
            MarkKind::RunningTotal => [ClockStart::FirstTouch, ClockStop::Total],
            MarkKind::TriesForQuota => [ClockStart::FirstTry, ClockStop::LastGood],
            MarkKind::HitsOfAttempts => [ClockStart::FirstTry, ClockStop::LastBall],
            MarkKind::TriesToFirstHit => [ClockStart::FirstTry, ClockStop::FirstHit],
            MarkKind::FarthestDistance, MarkKind::RungReached, MarkKind::ProtocolScore => [ClockStart::Whistle, ClockStop::Whistle],
        };
    }
}
