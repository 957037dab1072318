<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

/** What a coach said to the advice to move a player up or back on a ladder. */
final readonly class AdviceAnswer
{
    /**
     * @param  int  $rung  index of the rung that was advised
     * @param  string  $why  as the advice said it: with new numbers it says something else, and may be said again
     */
    public function __construct(public int $rung, public bool $isTaken, public string $why)
    {
    }
}
