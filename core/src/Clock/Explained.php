<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

/** How much of a drill has to be told. */
enum Explained: string
{
    case New = 'new';
    case NewHere = 'new-here';
    case Known = 'known';
    case KnownHere = 'known-here';
    case Again = 'again';
    case OtherSide = 'other-side';

    /** The same where the ground and the way stay: only what the feet do is told. */
    public function onTheSameGround(): self
    {
        return match ($this) {
            self::New => self::NewHere,
            self::Known => self::KnownHere,
            default => $this,
        };
    }

    /** Before the coach's own times are known. */
    public function seconds(ClockRules $rules): float
    {
        return match ($this) {
            self::New => $rules->explainNewSeconds,
            self::NewHere, self::Known => $rules->explainKnownSeconds,
            self::KnownHere, self::Again => $rules->explainAgainSeconds,
            self::OtherSide => $rules->explainOtherSideSeconds,
        };
    }

    public function sentence(ClockRules $rules): string
    {
        return sprintf('Explaining: %g s, %s.', $this->seconds($rules), match ($this) {
            self::New => 'new or not done lately',
            self::NewHere => 'new, where the ground stays as it was',
            self::Known => 'done today or in the last three sessions',
            self::KnownHere => 'known, where the ground stays as it was',
            self::Again => 'the same once more',
            self::OtherSide => 'the same on the other side',
        });
    }
}
