<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;

/** Minutes and no count: explore. */
final readonly class FreeDose implements PlainDose
{
    use HeldToLimits;

    public const KIND = 'free';

    private function __construct(private float $minutes, private DoseSides $sides)
    {
    }

    /** @throws InvalidDose If the minutes are outside a half to 30. */
    public static function of(float $minutes, DoseSides $sides): self
    {
        return new self(self::held('minutes', $minutes), $sides);
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            self::KIND,
            'free time',
            '{minutes} min free, {sides}',
            'minutes',
            DoseField::minutes('minutes', 'Minutes', 0.5, 30.0, start: 3.0),
            DoseField::sides(),
        );
    }

    public static function fromFields(DoseFields $read): self
    {
        return self::of($read->minutes('minutes'), $read->sides());
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
        return 1;
    }

    public function restSeconds(): float
    {
        return 0.0;
    }

    public function fields(): array
    {
        return ['kind' => 'free', 'minutes' => $this->minutes, 'sides' => $this->sides->value];
    }

    public function window(): array
    {
        return ['kind' => 'free'];
    }

    public function clockedSetSeconds(): float
    {
        return $this->minutes * 60.0;
    }

    public function goes(): int
    {
        return 1;
    }

    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played
    {
        $seconds = ($goes ?? 1) * 60.0 * $this->minutes;

        return new Played([$seconds], $seconds / $pace->secondsPerRep);
    }
}
