<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\LogNormals;

/**
 * A fixed number of repetitions: sides·sets·n·s + (sides·sets − 1)·rest, the seconds for a rep being judged.
 *
 * Example: `round(Alone::meanSeconds(RepsDose::of(10, 2, 20.0, DoseSides::Each), Pace::of(3.0, 0.6, 5.0)), 6)` is `180.0`.
 */
final readonly class RepsDose implements PlainDose
{
    use HeldToLimits;

    public const KIND = 'reps';

    private function __construct(private int $reps, private int $sets, private float $restSeconds, private DoseSides $sides)
    {
    }

    /** @throws InvalidDose If reps are outside 1 to 500, sets outside 1 to 20, or rest outside 0 to 600 s. */
    public static function of(int $reps, int $sets, float $restSeconds, DoseSides $sides): self
    {
        return new self(
            self::held('reps', $reps),
            self::held('sets', $sets),
            self::held('restSeconds', $restSeconds),
            $sides,
        );
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            self::KIND,
            'a number of reps',
            '{sets} × {reps} {sides}, {restSeconds} s rest',
            'sets',
            DoseField::whole('reps', 'Reps', 1, 500, start: 10),
            ...SetsAndRest::asks(),
        );
    }

    public static function fromFields(DoseFields $read): self
    {
        return self::of($read->whole('reps'), $read->whole('sets'), $read->seconds('restSeconds'), $read->sides());
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function sides(): DoseSides
    {
        return $this->sides;
    }

    public function sets(): int
    {
        return $this->sets;
    }

    public function restSeconds(): float
    {
        return $this->restSeconds;
    }

    public function fields(): array
    {
        return [
            'kind' => 'reps',
            'reps' => $this->reps,
            'sets' => $this->sets,
            'restSeconds' => $this->restSeconds,
            'sides' => $this->sides->value,
        ];
    }

    public function window(): array
    {
        return ['kind' => 'reps', 'reps' => $this->reps];
    }

    public function clockedSetSeconds(): null
    {
        return null;
    }

    public function goes(): int
    {
        return $this->sides->count() * $this->sets;
    }

    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played
    {
        $reps = ($goes ?? $this->goes()) * $this->reps;

        return new Played(LogNormals::of($memo, $reps * $pace->secondsPerRep, Pace::COEFFICIENT_OF_VARIATION)->values, $reps);
    }
}
