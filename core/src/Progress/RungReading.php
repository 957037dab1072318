<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\Better;

/**
 * How one player stands on one rung, from the session values of each side, oldest first.
 *
 * Passed when every side met the criterion in 2 of its last 3 sessions (default). Step back after two sessions running under half
 * the criterion on a side; for times and other counts where less is better, over twice. Where passes were looked at closely, most of the
 * last day's must have been accurate, at the right pace and clean besides: as soon as all three are there one moves on (common practice,
 * no source).
 */
final readonly class RungReading
{
    public const SESSIONS = 3;

    public const NEEDED = 2;

    /** @param  bool  $isMetOnce  the criterion met at least once on every side: enough for an entry test */
    private function __construct(
        public bool $isTried,
        public bool $isMetOnce,
        public bool $isPassed,
        public bool $isFarBelow,
        public string $why,
    ) {
    }

    /**
     * @param  non-empty-array<string, list<float>>  $bySide  side → session values, oldest first
     * @param  array{looked: int, all: int}|null  $passes  of the last day that was looked at closely: how many, and how many all three
     */
    public static function of(array $bySide, float $criterion, Better $better, ?array $passes = null): self
    {
        $meets = static fn (float $value): bool => $better === Better::Higher ? $value >= $criterion : $value <= $criterion;
        $isFar = static fn (float $value): bool => $better === Better::Higher ? $value < $criterion / 2 : $value > $criterion * 2;
        $once = true;
        $passed = true;
        $far = false;
        $why = [];
        foreach ($bySide as $side => $values) {
            $last = array_slice($values, -self::SESSIONS);
            $met = count(array_filter($last, $meets));
            $once = $once && array_filter($values, $meets) !== [];
            $passed = $passed && $met >= self::NEEDED;
            $far = $far || count($values) >= 2 && count(array_filter(array_slice($values, -2), $isFar)) === 2;
            $why[] = $last === []
                ? "{$side}: no number yet"
                : sprintf('%s: %s, %d of the last %d reach %g', $side, implode(', ', $last), $met, count($last), $criterion);
        }
        $tried = array_filter($bySide) !== [];
        if ($passes !== null && $passes['looked'] > 0) {
            $passed = $passed && 2 * $passes['all'] > $passes['looked'];
            $why[] = "of {$passes['looked']} passes looked at {$passes['all']} accurate, at the right pace and clean";
        }

        return new self($tried, $tried && $once, $tried && $passed, $far && ! $passed, implode('; ', $why));
    }
}
