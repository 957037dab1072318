<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;

/** Touches of one rep of a script. */
final class RepTouches
{
    /** One rep on one side; feet in turn or as they come lead half the reps each. */
    public static function of(Script $script, int $timesAlongPath, Side $side, Memo $memo = new Memo): Tally
    {
        return $memo->of("rep {$script->text()} {$timesAlongPath} {$side->value}", static fn (): Tally => match ($side) {
            Side::Right => Tally::of($script->resolved(Foot::Right), $timesAlongPath),
            Side::Left => Tally::of($script->resolved(Foot::Left), $timesAlongPath),
            Side::Both, Side::Alternating => self::of($script, $timesAlongPath, Side::Right, $memo)
                ->plus(self::of($script, $timesAlongPath, Side::Left, $memo))
                ->times(0.5),
        });
    }
}
