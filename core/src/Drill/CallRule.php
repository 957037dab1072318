<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Shared\TouchLimit;

/** What the player does when a place is called: "in front: two touches", "behind: far foot, open body, a move, three touches". */
final readonly class CallRule
{
    /**
     * @param  string  $place  front, behind, a colour or a number
     * @param  bool  $openBody  turned so that both the ball and the place are seen
     * @param  bool  $move  whether a move comes before the way out
     */
    public function __construct(
        public string $place,
        public ?TouchLimit $touches,
        public CallFoot $foot,
        public bool $openBody,
        public bool $move,
    ) {
    }
}
