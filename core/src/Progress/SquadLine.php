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
    public const DAYS = 8;

    /** @param  float|null  $worthwhile  the smallest worthwhile change, in the unit of the number; null with fewer than five players */
    private function __construct(public TypicalError $error, public ?float $worthwhile)
    {
    }

    /** @param  list<LineReading>  $lines  of one task, a player each */
    public static function of(array $lines): self
    {
        $error = TypicalError::pooled($lines);
        $means = [];
        foreach ($lines as $line) {
            $values = array_map(static fn (SessionValue $day): float => $day->median, array_slice($line->days, -self::DAYS));
            $means = $values === [] ? $means : [...$means, array_sum($values) / count($values)];
        }

        return new self($error, self::worthwhile($means, $error, ($lines[0] ?? null)?->kind->step() ?? 1.0));
    }

    /**
     * From what was added up of each player before.
     *
     * @param  list<array{error: TypicalError, mean: float}>  $players  the mean of the last eight session values
     * @param  float  $step  the least the number can show
     */
    public static function ofPlayers(array $players, float $step): self
    {
        $error = TypicalError::of([]);
        foreach ($players as $player) {
            $error = $error->and($player['error']);
        }

        return new self($error, self::worthwhile(array_column($players, 'mean'), $error, $step));
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
