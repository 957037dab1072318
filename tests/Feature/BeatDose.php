<?php

declare(strict_types=1);

namespace Tests\Feature;

use FleetSparrow\Core\Dose\DoseDeclaration;
use FleetSparrow\Core\Dose\DoseField;
use FleetSparrow\Core\Dose\DoseFields;
use FleetSparrow\Core\Dose\HeldToLimits;
use FleetSparrow\Core\Dose\InSets;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\PlainDose;
use FleetSparrow\Core\Dose\Played;
use FleetSparrow\Core\Dose\SetsAndRest;
use FleetSparrow\Core\Shared\Memo;

/** A dose the product does not have: touches to a beat. All that one more kind takes. */
final readonly class BeatDose implements PlainDose
{
    use HeldToLimits;
    use InSets;

    private function __construct(private int $beats, private int $perMinute, private SetsAndRest $pattern)
    {
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            'beat',
            'to a beat',
            '{sets} × {beats} beats {sides}',
            'sets',
            DoseField::whole('beats', 'Beats', 8, 400, start: 60),
            DoseField::whole('perMinute', 'Beats a minute', 40, 160, start: 80),
            ...SetsAndRest::asks(),
        );
    }

    public static function fromFields(DoseFields $read): self
    {
        return new self(
            self::held('beats', $read->whole('beats')),
            self::held('perMinute', $read->whole('perMinute')),
            $read->pattern(),
        );
    }

    public function kind(): string
    {
        return 'beat';
    }

    public function window(): array
    {
        return ['kind' => 'beat', 'beats' => $this->beats, 'perMinute' => $this->perMinute];
    }

    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played
    {
        $beats = ($goes ?? $this->pattern->sides->count() * $this->pattern->sets) * $this->beats;

        return new Played([60.0 * $beats / $this->perMinute], $beats);
    }
}
