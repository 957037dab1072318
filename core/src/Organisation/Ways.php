<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Pattern;
use FleetSparrow\Core\Drill\Service;
use FleetSparrow\Core\Layout\Place;
use FleetSparrow\Core\Layout\PlaceRole;
use FleetSparrow\Core\Organisation\Way\Game;
use FleetSparrow\Core\Organisation\Way\Hunt;
use FleetSparrow\Core\Organisation\Way\InTurns;
use FleetSparrow\Core\Organisation\Way\PassAndFollow;
use FleetSparrow\Core\Organisation\Way\QueueToFinish;
use FleetSparrow\Core\Organisation\Way\SharedBox;
use FleetSparrow\Core\Organisation\Way\Together;

/** The way a drill is done in: the only place that asks a drill for its pattern. */
final class Ways
{
    /** @param  float  $secondsPerRep  at the tempo of the block: of a pass, or of a trip to the finish */
    public static function of(Drill $drill, float $secondsPerRep): WorkingWay
    {
        $organisation = $drill->organisation;

        return match ($organisation->pattern) {
            Pattern::Together => $organisation->service === Service::None ? new SharedBox : new Together,
            Pattern::PassAndFollow => new PassAndFollow(max(1, count($drill->layout->balls())), $secondsPerRep),
            Pattern::Rotate => new QueueToFinish(
                self::positions($drill),
                $secondsPerRep,
                $drill->fetchSeconds,
                $organisation->keepers,
                $organisation->keeperSeconds(),
            ),
            Pattern::Hunt => new Hunt($organisation->playerServers),
            Pattern::Live => new Game($organisation->keepers, keeperSeconds: $organisation->keeperSeconds()),
            Pattern::TakeTurns => InTurns::alone(),
            Pattern::Own, Pattern::Swap => $organisation->playerServers === 0
                ? InTurns::alone()
                : InTurns::served($organisation->workers, $organisation->playerServers),
        };
    }

    /** @return int<1, max> who takes part in an attack: who runs it, and whom the ball passes */
    private static function positions(Drill $drill): int
    {
        $takesPart = static fn (Place $place): bool => in_array($place->role, [PlaceRole::Worker, PlaceRole::Server], true);

        return max(1, count(array_filter($drill->layout->places(), $takesPart)));
    }
}
