<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\CircuitDose;
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
    /** @var WeakMap<Script, array<string, Tally>>|null what was added up already: a block asks for the same again for every player */
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
        return self::known($script, "{$timesAlongPath} {$side->value}", static fn (): Tally => match ($side) {
            Side::Right => Tally::of($script->resolved(Foot::Right), $timesAlongPath),
            Side::Left => Tally::of($script->resolved(Foot::Left), $timesAlongPath),
            Side::Both, Side::Alternating => self::perRep($script, $timesAlongPath, Side::Right)->plus(self::perRep($script, $timesAlongPath, Side::Left))->times(0.5),
        });
    }

    private static function ofScript(Script $script, int $timesAlongPath, Dose $dose, float $repsPerSide, StrongFoot $strong): Tally
    {
        $sides = $dose->sides();

        return self::known($script, "{$timesAlongPath} {$sides->value} {$strong->value}", static fn (): Tally => Tally::sum(array_map(
            static fn (Side $side): Tally => self::perRep($script, $timesAlongPath, $side),
            $sides->sidesFor($strong),
        )))->times($repsPerSide);
    }

    /** @param  callable(): Tally  $add */
    private static function known(Script $script, string $what, callable $add): Tally
    {
        $known = self::$known ??= new WeakMap;
        $tallies = $known[$script] ?? [];
        if (! isset($tallies[$what])) {
            $tally = $add();
            $known[$script] = [$what => $tally] + ($known[$script] ?? []);

            return $tally;
        }

        return $tallies[$what];
    }
}
