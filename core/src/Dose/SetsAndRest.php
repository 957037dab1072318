<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/** Sets on sides with rest between: rests lie between sets and none trails. */
final readonly class SetsAndRest
{
    private function __construct(public int $sets, public float $restSeconds, public DoseSides $sides)
    {
    }

    /** @return list<DoseField> */
    public static function asks(string $setsLabel = 'Sets', int $sets = 2, float $restSeconds = 20.0): array
    {
        return [DoseField::sets($setsLabel, $sets), DoseField::rest($restSeconds), DoseField::sides()];
    }

    /** @throws InvalidDose If sets are outside 1 to 20, or rest outside 0 to 600 s. */
    public static function of(int $sets, float $restSeconds, DoseSides $sides): self
    {
        return new self(
            DoseField::sets()->held($sets),
            DoseField::rest()->held($restSeconds),
            $sides,
        );
    }

    /** @return array{sets: int, restSeconds: float, sides: string} */
    public function fields(): array
    {
        return ['sets' => $this->sets, 'restSeconds' => $this->restSeconds, 'sides' => $this->sides->value];
    }
}
