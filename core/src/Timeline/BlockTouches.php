<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;

/** Touches one player is expected to make in one block: tally of the script × reps expected from the dose. */
final class BlockTouches
{
    public static function of(Drill $drill, Dose $dose, Pace $pace, StrongFoot $strong, Memo $memo = new Memo): Tally
    {
        if (! $dose instanceof CircuitDose) {
            return self::ofScript($drill->script, $drill->layout->timesAlongPath(), $dose, $dose->expectedReps($pace), $strong, $memo);
        }
        $sum = Tally::zero();
        foreach ($dose->items as $item) {
            $sum = $sum->plus(
                self::ofScript(
                    $item->script,
                    $drill->layout->timesAlongPath(),
                    $item->dose,
                    $item->dose->expectedReps($item->pace) * $dose->sets(),
                    $strong,
                    $memo,
                ),
            );
        }

        return $sum;
    }

    /** One rep on one side; feet in turn or as they come lead half the reps each. */
    public static function perRep(Script $script, int $timesAlongPath, Side $side, Memo $memo = new Memo): Tally
    {
        return $memo->of("rep {$script->text()} {$timesAlongPath} {$side->value}", static fn (): Tally => match ($side) {
            Side::Right => Tally::of($script->resolved(Foot::Right), $timesAlongPath),
            Side::Left => Tally::of($script->resolved(Foot::Left), $timesAlongPath),
            Side::Both, Side::Alternating => self::perRep($script, $timesAlongPath, Side::Right, $memo)
                ->plus(self::perRep($script, $timesAlongPath, Side::Left, $memo))
                ->times(0.5),
        });
    }

    private static function ofScript(
        Script $script,
        int $timesAlongPath,
        Dose $dose,
        float $repsPerSide,
        StrongFoot $strong,
        Memo $memo,
    ): Tally {
        $sides = $dose->sides();

        $question = "sides {$script->text()} {$timesAlongPath} {$sides->value} {$strong->value}";

        return $memo->of($question, static fn (): Tally => Tally::sum(array_map(
            static fn (Side $side): Tally => self::perRep($script, $timesAlongPath, $side, $memo),
            $sides->sidesFor($strong),
        )))->times($repsPerSide);
    }
}
