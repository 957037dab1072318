<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

use FleetSparrow\Core\Shared\CalendarDate;

/** What one session did of one skill family, for one player on average: of those who came; at home, of the whole squad. */
final readonly class PlayedFamily
{
    /**
     * @param  int  $session  which session
     * @param  float  $weaker  touches with the weaker foot, of those who have one
     * @param  float  $footed  touches of those with either foot
     * @param  bool  $isHome  a day some practised at home, and no session with the squad
     */
    public function __construct(
        public int $session,
        public CalendarDate $on,
        public string $family,
        public float $workMinutes,
        public FootTouches $touches,
        public float $weaker,
        public float $footed,
        public bool $isHome = false,
    ) {
    }
}
