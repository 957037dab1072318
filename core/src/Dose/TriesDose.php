<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Quantiles;

/**
 * Goes at a target: until the first hit, at most n ("not in n" is a result), or all n balls for the hits among them. Balls are
 * fetched together when the go is over. Until the first hit P(slowest of w ≤ k) = (1 − q^k)^w.
 */
final readonly class TriesDose implements PlainDose
{
    use HeldToLimits;
    use InSets;

    public const KIND = 'tries';

    private function __construct(private int $balls, private bool $untilHit, private SetsAndRest $pattern)
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

    public function window(): array
    {
        return ['kind' => 'tries', 'balls' => $this->balls, 'untilHit' => $this->untilHit ? 1 : 0];
    }

    public function ownTime(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Quantiles
    {
        $go = fn (int $node, float $chance, float $factor, float $draw): float => $pace->fetchSeconds
            + $factor * $pace->secondsPerRep * ($this->untilHit && $chance < 1.0
                ? min($this->balls, 1.0 + floor(log(1.0 - $draw) / log(1.0 - $chance)))
                : ($this->untilHit ? 1 : $this->balls));

        return Plays::of($pace, ($goes ?? $this->goes()), $limitSeconds, $memo, $go);
    }

    public function expectedReps(Pace $pace): float
    {
        if (! $this->untilHit) {
            return (float) ($this->pattern->sets * $this->balls);
        }
        $miss = $pace->beta() / ($pace->alpha() + $pace->beta());

        // E[balls] = Σ over k < n of the chance that all k so far missed.
        return $this->pattern->sets * array_sum(array_map(static fn (int $k): float => $miss ** $k, range(0, $this->balls - 1)));
    }
}
