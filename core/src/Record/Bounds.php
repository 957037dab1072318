<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\StreakDose;
use FleetSparrow\Core\Dose\TriesDose;
use FleetSparrow\Core\Exception\ScriptError;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;

/** What a number on a record line can be at all: never above n of n or the total, never below the fewest possible. */
final readonly class Bounds
{
    private function __construct(public float $least, public float $most)
    {
    }

    public static function ofKind(MarkKind $kind): self
    {
        return new self($kind->measure()->least, $kind->measure()->most);
    }

    /** @param  array<array-key, mixed>  $task  the line's canonical fields, see `Task` */
    public static function of(MarkKind $kind, array $task): self
    {
        $measure = $kind->measure();
        $window = is_array($task['window'] ?? null) ? $task['window'] : [];
        $of = static fn (string $field, float $otherwise): float => is_int($window[$field] ?? null) ? (float) $window[$field] : $otherwise;

        return match ($kind) {
            MarkKind::HitsOfAttempts => new self(
                $measure->least,
                min($measure->most, $of('balls', $of('reps', $of('lengths', $measure->most)))),
            ),
            MarkKind::RunningTotal, MarkKind::LongestRun => new self($measure->least, min($measure->most, $of('total', $measure->most))),
            MarkKind::SecondsHeld => new self(
                $measure->least,
                min($measure->most, $of('workMilliseconds', 1000.0 * $measure->most) / 1000.0),
            ),
            MarkKind::TriesForQuota => new self(max($measure->least, $of('good', $measure->least)), $measure->most),
            MarkKind::ChainSteps => new self($measure->least, min($measure->most, self::contacts($task['script'] ?? null, $measure->most))),
            default => self::ofKind($kind),
        };
    }

    /** As a block of this dose can give it: a goal ends the run, a cap the balls. */
    public function withinDose(MarkKind $kind, Dose $dose): self
    {
        $cap = match (true) {
            $kind === MarkKind::LongestRun && $dose instanceof StreakDose => $dose->goal,
            $kind === MarkKind::TriesToFirstHit && $dose instanceof TriesDose => $dose->balls,
            default => null,
        };

        return $cap === null ? $this : new self($this->least, min($this->most, (float) $cap));
    }

    public function hold(float $value): bool
    {
        return $value >= $this->least && $value <= $this->most;
    }

    /** The best number there can be. */
    public function best(Better $better): float
    {
        return $better === Better::Higher ? $this->most : $this->least;
    }

    /** A chain has as many steps as it has contacts; where the text is none of a script, nothing is known. */
    private static function contacts(mixed $script, float $otherwise): float
    {
        try {
            $contacts = is_string($script) ? floor(Tally::of(Script::fromText($script))->contacts()) : 0.0;
        } catch (ScriptError) {
            $contacts = 0.0;
        }

        return $contacts > 0.0 ? $contacts : $otherwise;
    }
}
