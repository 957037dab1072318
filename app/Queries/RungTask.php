<?php

declare(strict_types=1);

namespace App\Queries;

use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;

/** What a rung asks of its drill, and where the numbers of it stand: all that a place on a ladder is worked out from. */
final readonly class RungTask
{
    /**
     * @param  string  $name  of the drill
     * @param  array<string, string>  $keys  side → record line that the drill's own dose writes to
     */
    private function __construct(public string $name, public Better $better, public array $keys, private ?DoseSides $sides)
    {
    }

    public static function of(Drill $drill, int $ballSize): self
    {
        $keys = [];
        foreach (Side::cases() as $side) {
            $keys[$side->value] = $drill->dose === null ? '' : (string) $drill->task($drill->dose, $side, $ballSize)?->key;
        }

        return new self($drill->name, $drill->rule?->kind->better() ?? Better::Higher, $keys, $drill->dose?->sides());
    }

    /** @return non-empty-list<Side> */
    public function sidesFor(StrongFoot $strong): array
    {
        return $this->sides?->sidesFor($strong) ?? [Side::Both];
    }
}
