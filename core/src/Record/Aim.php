<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Dose\Dose;

/** How a squad sets the number to beat on a line, and what that number can be. */
final readonly class Aim
{
    /** A stretch is reached two times in five (default). */
    public const STRETCH_CHANCE = 0.4;

    /**
     * @param  float|null  $fixed  the one number of the drill for this age, where there is one
     * @param  float  $stretchChance  of a stretch to be reached, over 0 and under 1
     */
    public function __construct(
        public TargetSchool $school,
        public Bounds $bounds,
        public ?float $fixed = null,
        public float $stretchChance = self::STRETCH_CHANCE,
    ) {
    }

    /** The same where a block's dose allows less. */
    public function withinDose(MarkKind $kind, Dose $dose): self
    {
        return new self($this->school, $this->bounds->withinDose($kind, $dose), $this->fixed, $this->stretchChance);
    }
}
