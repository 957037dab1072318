<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Chances;

/**
 * Goes at a target: until the first hit, at most n ("not in n" is a result), or all n balls for the hits among them. Balls are
 * fetched together when the go is over. Until the first hit P(slowest of w ≤ k) = (1 − q^k)^w.
 */
final readonly class TriesDose implements PlainDose
{
    use HeldToLimits;
    use InSets;

    public const KIND = 'tries';

    private function __construct(public int $balls, public bool $untilHit, private SetsAndRest $pattern)
    {
    }

    /** @throws InvalidDose If balls are outside 1 to 50. */
    public static function of(int $balls, bool $untilHit, SetsAndRest $pattern): self
    {
        return new self(self::held('balls', $balls), $untilHit, $pattern);
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            self::KIND,
            'tries at a target',
            '{sets} × {balls} balls at the target, ending {untilHit}, {sides}',
            'sets',
            DoseField::whole('balls', 'Balls', 1, 50, start: 5),
            DoseField::yes('untilHit', 'A go ends', no: 'with the last ball', yes: 'with the first hit', start: true),
            ...SetsAndRest::asks('Goes'),
        );
    }

    public static function fromFields(DoseFields $read): self
    {
        return self::of($read->whole('balls'), $read->yes('untilHit'), $read->pattern());
    }

    public function kind(): string
    {
        return self::KIND;
    }

    /** @return array<string, int> */
    protected function prescribed(): array
    {
        return ['balls' => $this->balls];
    }

    public function window(): array
    {
        // Where the first hit ends a go, the last ball is a cap: with more of them it is the same task.
        return ['kind' => 'tries'] + ($this->untilHit ? [] : ['balls' => $this->balls]) + ['untilHit' => $this->untilHit ? 1 : 0];
    }

    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played
    {
        $balls = GoCounts::reps("balls to {$this->balls} ".(int) $this->untilHit, fn (float $chance): array => $this->untilHit
            // What a run is to the good ones, balls before the first hit are to the misses.
            ? array_map(static fn (int $missed): int => $missed + 1, Chances::runs($this->balls - 1, 1.0 - $chance))
            : array_fill(0, Chances::SLICES, $this->balls));

        return Plays::of($pace, $goes ?? $this->goes(), $limitSeconds, $memo, $balls);
    }
}
