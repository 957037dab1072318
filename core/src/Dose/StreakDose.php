<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Chances;

/**
 * The best run without a drop in so many tries. A try lasts until the drop or the goal: with chance q of a good rep the run is
 * geometric, cut off at the goal, E = q(1 − q^M) ÷ (1 − q). The tries of a side are one piece of work whose spread is that of
 * the runs; it ends with the slowest worker.
 */
final readonly class StreakDose implements PlainDose
{
    use HeldToLimits;
    use InSets;

    public const KIND = 'streak';

    private function __construct(public int $goal, private SetsAndRest $pattern, private ?float $limitSeconds)
    {
    }

    /**
     * @param  int  $goal  a run that long ends the try
     * @param  float|null  $limitSeconds  when a coach stops a try; 0 for never, null for the usual time
     *
     * @throws InvalidDose If the goal is outside 1 to 1,000, or the limit over an hour.
     */
    public static function of(int $goal, SetsAndRest $pattern, ?float $limitSeconds = null): self
    {
        return new self(
            self::held('goal', $goal),
            $pattern,
            $limitSeconds === null ? null : self::held('limitSeconds', $limitSeconds),
        );
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            self::KIND,
            'best run without a drop',
            'best run of {sets} {sets:try|tries} {sides}, up to {goal}',
            'sets',
            DoseField::whole('goal', 'The goal', 1, 1000, start: 50),
            ...[...SetsAndRest::asks('Tries', sets: 3, restSeconds: 10.0), DoseField::limit()],
        );
    }

    public static function fromFields(DoseFields $read): self
    {
        return self::of($read->whole('goal'), $read->pattern(), $read->limit());
    }

    public function kind(): string
    {
        return self::KIND;
    }

    /** @return array<string, int> */
    protected function prescribed(): array
    {
        return ['goal' => $this->goal];
    }

    public function window(): array
    {
        // The goal only ends a try: with another one it is the same task.
        return ['kind' => 'streak'];
    }

    public function mayNotEnd(): bool
    {
        return true;
    }

    public function stopsAfter(): ?float
    {
        return $this->limitSeconds;
    }

    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played
    {
        $runs = GoCounts::reps("runs to {$this->goal}", fn (float $chance): array => Chances::runs($this->goal, $chance));

        return Plays::of($pace, $goes ?? $this->goes(), $limitSeconds, $memo, $runs);
    }
}
