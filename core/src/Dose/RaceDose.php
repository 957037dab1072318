<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\LogNormals;

/** A fixed piece of work against the watch, a number of goes a side; every go ends with its slowest worker. */
final readonly class RaceDose implements PlainDose
{
    use HeldToLimits;

    public const KIND = 'race';

    private function __construct(private int $reps, private int $goes, private float $restSeconds, private DoseSides $sides)
    {
    }

    /** @throws InvalidDose If reps are outside 1 to 200, goes outside 1 to 20, or rest outside 0 to 600 s. */
    public static function of(int $reps, int $goes, float $restSeconds, DoseSides $sides): self
    {
        return new self(
            self::held('reps', $reps),
            self::held('sets', $goes),
            self::held('restSeconds', $restSeconds),
            $sides,
        );
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            self::KIND,
            'against the watch',
            '{sets} {sets:go|goes} against the watch, {sides}',
            'sets',
            DoseField::whole('reps', 'Reps', 1, 200, start: 1),
            ...SetsAndRest::asks('Goes', sets: 3, restSeconds: 25.0),
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
        return $this->goes;
    }

    public function restSeconds(): float
    {
        return $this->restSeconds;
    }

    public function fields(): array
    {
        return [
            'kind' => 'race',
            'reps' => $this->reps,
            'sets' => $this->goes,
            'restSeconds' => $this->restSeconds,
            'sides' => $this->sides->value,
        ];
    }

    public function window(): array
    {
        return ['kind' => 'race', 'reps' => $this->reps];
    }

    public function clockedSetSeconds(): null
    {
        return null;
    }

    public function goes(): int
    {
        return $this->sides->count() * $this->goes;
    }

    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played
    {
        $reps = ($goes ?? $this->goes()) * $this->reps;

        return new Played(LogNormals::of($memo, $reps * $pace->secondsPerRep, Pace::COEFFICIENT_OF_VARIATION)->values, $reps);
    }
}
