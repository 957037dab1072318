<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Dose\CircuitDose;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;
use WeakMap;

/** Touches one player is expected to make in one block: tally of the script × reps expected from the dose. */
final class BlockTouches
{
    /** @var WeakMap<Script, array<string, Tally>>|null reps already added up: a block asks for the same ones for every player */
    private static ?WeakMap $known = null;

    public static function of(Drill $drill, Dose $dose, Pace $pace, StrongFoot $strong): Tally
    {
        if (! $dose instanceof CircuitDose) {
            return self::ofScript($drill->script, $drill->layout->timesAlongPath(), $dose, $dose->expectedReps($pace), $strong);
        }
        $sum = Tally::zero();
        foreach ($dose->items as $item) {
            $sum = $sum->plus(self::ofScript($item->script, $drill->layout->timesAlongPath(), $item->dose, $item->dose->expectedReps($item->pace) * $dose->sets(), $strong));
        }

        return $sum;
    }

    /** One rep on one side; feet in turn or as they come lead half the reps each. */
    public static function perRep(Script $script, int $timesAlongPath, Side $side): Tally
    {
        $known = self::$known ??= new WeakMap;
        $reps = $known[$script] ?? [];
        if (! isset($reps["{$timesAlongPath} {$side->value}"])) {
            $led = static fn (Foot $foot): Tally => Tally::of($script->resolved($foot), $timesAlongPath);
            $reps["{$timesAlongPath} {$side->value}"] = match ($side) {
                Side::Right => $led(Foot::Right),
                Side::Left => $led(Foot::Left),
                Side::Both, Side::Alternating => $led(Foot::Right)->plus($led(Foot::Left))->times(0.5),
            };
            $known[$script] = $reps;
        }

        return $reps["{$timesAlongPath} {$side->value}"];
    }

    private static function ofScript(Script $script, int $timesAlongPath, Dose $dose, float $repsPerSide, StrongFoot $strong): Tally
    {
        $sum = Tally::zero();
        foreach ($dose->sides()->sidesFor($strong) as $side) {
            $sum = $sum->plus(self::perRep($script, $timesAlongPath, $side)->times($repsPerSide));
        }

        return $sum;
    }
}
