<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Shared\AgeGroup;

/** How much less or more a younger or older group does: dose, distance and target, each as a factor that is shown. */
final readonly class LevelFactor
{
    private function __construct(public AgeGroup $ageGroup, public float $dose, public float $distance, public float $target)
    {
    }

    /** @throws InvalidDrill If a factor is outside 0.25 to 2. */
    public static function of(AgeGroup $ageGroup, float $dose, float $distance, float $target): self
    {
        foreach ([$dose, $distance, $target] as $factor) {
            if (! ($factor >= 0.25 && $factor <= 2.0)) {
                throw InvalidDrill::at('levels', 'A factor must be between 0.25 and 2.');
            }
        }

        return new self($ageGroup, $dose, $distance, $target);
    }
}
