<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;

/** What to shout: a foot, or strong and weaker where players differ. */
final class SideNames
{
    /** @return non-empty-list<string> in their order */
    public static function of(Dose $dose): array
    {
        return match ($dose->sides()) {
            DoseSides::Strong => ['strong'],
            DoseSides::Weaker => ['weaker'],
            default => array_map(static fn (Side $side): string => $side->value, $dose->sides()->sidesFor(StrongFoot::Both)),
        };
    }

    /** The side a player works on when this is shouted. */
    public static function sideOf(string $name, StrongFoot $strong): Side
    {
        return match ($name) {
            'strong' => Side::ofFoot($strong->foot()),
            'weaker' => Side::ofFoot($strong->foot()->other()),
            default => Side::from($name),
        };
    }
}
