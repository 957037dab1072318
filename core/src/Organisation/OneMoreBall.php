<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Pattern;
use FleetSparrow\Core\Layout\Positions;
use FleetSparrow\Core\Rotation\PassingQueue;

/** A strong group today: one ball more than the drill has, where everybody follows their pass and enough are there. */
final class OneMoreBall
{
    /**
     * @param  float  $passSeconds  from one pass of a ball to its next, at the tempo of the block
     * @param  int  $players  at one place
     * @return string|null what it comes to; null where the ball would find nobody, or the drill is none of these
     */
    public static function words(Drill $drill, float $passSeconds, int $players): ?string
    {
        if ($drill->organisation->pattern !== Pattern::PassAndFollow) {
            return null;
        }
        $balls = max(1, count($drill->layout->balls()));
        $now = PassingQueue::of($players, Positions::of($drill->layout), $balls, $passSeconds);
        $then = PassingQueue::of($players, $now->positions, $balls + 1, $passSeconds);

        return $players < $then->playersNeeded() ? null : sprintf(
            '%d balls: a turn every %d s in place of %d s.',
            $then->balls,
            (int) round($then->meanGapSeconds()),
            (int) round($now->meanGapSeconds()),
        );
    }
}
