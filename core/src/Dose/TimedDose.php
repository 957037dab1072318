<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;

/**
 * Work for a fixed time: exact, rest between sets and none after the last.
 *
 * Example: `Alone::meanSeconds(TimedDose::of(30.0, 2, 15.0, DoseSides::Each), Pace::of(1.0, 0.6, 5.0))` is `165.0`.
 */
final readonly class TimedDose implements PlainDose
{
    use HeldToLimits;

    public const KIND = 'timed';

    private function __construct(private float $workSeconds, private int $sets, private float $restSeconds, private DoseSides $sides)
    {
    }

    /** @throws InvalidDose If work is outside 5 to 1800 s, sets outside 1 to 20, or rest outside 0 to 600 s. */
    public static function of(float $workSeconds, int $sets, float $restSeconds, DoseSides $sides): self
    {
        return new self(
            self::held('workSeconds', $workSeconds),
            self::held('sets', $sets),
            self::held('restSeconds', $restSeconds),
            $sides,
        );
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            self::KIND,
            'by the clock',
            '{sets} × {workSeconds} s {sides}, {restSeconds} s rest',
            'sets',
            DoseField::seconds('workSeconds', 'Work', 5.0, 1800.0, start: 30.0),
            ...SetsAndRest::asks(),
        );
    }

    public static function fromFields(DoseFields $read): self
    {
        return self::of($read->seconds('workSeconds'), $read->whole('sets'), $read->seconds('restSeconds'), $read->sides());
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
            'kind' => 'timed',
            'workSeconds' => $this->workSeconds,
            'sets' => $this->sets,
            'restSeconds' => $this->restSeconds,
            'sides' => $this->sides->value,
        ];
    }

    public function window(): array
    {
        return ['kind' => 'timed', 'workSeconds' => $this->workSeconds];
    }

    public function clockedSetSeconds(): float
    {
        return $this->workSeconds;
    }

    public function goes(): int
    {
        return $this->sides->count() * $this->sets;
    }

    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played
    {
        $seconds = ($goes ?? $this->goes()) * $this->workSeconds;

        return new Played([$seconds], $seconds / $pace->secondsPerRep);
    }
}
