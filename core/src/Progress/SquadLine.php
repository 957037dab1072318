<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;

/** What one line tells of a squad: how far numbers stray, and how much of a change is worth a word. */
final readonly class SquadLine
{
    /** With fewer on the line nothing is known of how far players are apart. */
    private const FEWEST_PLAYERS = 5;

    /** Of the spread between players so much is the smallest change worth having (Hopkins 2004, Sportscience 8:1–7). */
    private const SHARE_OF_SPREAD = 0.2;

    /** A player's mean is of so many days, the latest. */
    private const DAYS = 8;

    /** @param  float|null  $worthwhile  the smallest worthwhile change, in the unit of the number; null with fewer than five players */
    private function __construct(public TypicalError $error, public ?float $worthwhile)
    {
    }

    /** @param  list<LineReading>  $lines  of one task, a player each */
    public static function of(array $lines): self
    {
        $values = array_map(
            static fn (LineReading $line): array => array_map(static fn (SessionValue $day): float => $day->median, $line->days),
            $lines,
        );

        return self::ofValues($values, ($lines[0] ?? null)?->kind->step() ?? 1.0);
    }

    /**
     * @param  list<list<float>>  $players  session values of one task, a player each, oldest first
     * @param  float  $step  the least the number can show
     */
    public static function ofValues(array $players, float $step): self
    {
        $error = TypicalError::pooled($players);
        $means = [];
        foreach (array_filter($players) as $values) {
            $last = array_slice($values, -self::DAYS);
            $means[] = array_sum($last) / count($last);
        }

        return new self($error, self::worthwhile($means, $error, $step));
    }

    /** From figures worked out before. */
    public static function ofFigures(TypicalError $error, ?float $worthwhile): self
    {
        return new self($error, $worthwhile);
    }

    /**
     * A fifth of the standard deviation between players, freed of what their own straying adds to it, and one step at least.
     *
     * @param  list<float>  $means
     */
    private static function worthwhile(array $means, TypicalError $error, float $step): ?float
    {
        $count = count($means);
        if ($count < self::FEWEST_PLAYERS) {
            return null;
        }
        $mean = array_sum($means) / $count;
        $variance = array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $means)) / ($count - 1);

        return max($step, self::SHARE_OF_SPREAD * sqrt(max(0.0, $variance - ($error->value() ?? 0.0) ** 2 / self::DAYS)));
    }
}
