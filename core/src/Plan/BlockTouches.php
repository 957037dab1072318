<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Touch\Tally;

/** Touches one player is expected to make in one block: tally of the script × reps expected from the dose. */
final class BlockTouches
{
    public static function of(Drill $drill, Dose $dose, Pace $pace, StrongFoot $strong): Tally
    {
        $reps = $dose->expectedReps($pace);
        $sum = Tally::zero();
        foreach ($dose->sides()->sidesFor($strong) as $side) {
            $sum = $sum->plus(self::perRep($drill, $side)->times($reps));
        }

        return $sum;
    }

    /** One rep on one side; feet in turn or as they come lead half the reps each. */
    public static function perRep(Drill $drill, Side $side): Tally
    {
        $led = static fn (Foot $foot): Tally => Tally::of($drill->script->resolved($foot), $drill->layout->timesAlongPath());

        return match ($side) {
            Side::Right => $led(Foot::Right),
            Side::Left => $led(Foot::Left),
            Side::Both, Side::Alternating => $led(Foot::Right)->plus($led(Foot::Left))->times(0.5),
        };
    }
}
