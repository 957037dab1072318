<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;

/**
 * What one session leaves on one player, as it was planned: touches, strikes, headers and minutes of heading. Kept when the
 * session was run, and never worked out anew; `METHOD` says by which way of estimating.
 */
final readonly class SessionLoad
{
    public const METHOD = 3;

    /**
     * @param  float  $footedTouches  with either foot, of a player who has a weaker one; 0 for one who uses both
     * @param  float  $weakerTouches  of these, with the weaker foot
     */
    private function __construct(
        public float $touches,
        public float $footedTouches,
        public float $weakerTouches,
        public float $strikes,
        public float $headers,
        public float $headingMinutes,
    ) {
    }

    /** Each to a tenth, half rounded up. */
    public static function of(Tally $tally, StrongFoot $strong, float $headingMinutes = 0.0): self
    {
        $weaker = match ($strong) {
            StrongFoot::Right => FootMark::Left,
            StrongFoot::Left => FootMark::Right,
            StrongFoot::Both => null,
        };
        $footed = $weaker === null ? 0.0 : $tally->contactsOf(FootMark::Left) + $tally->contactsOf(FootMark::Right);

        return new self(
            touches: round($tally->contacts(), 1),
            footedTouches: round($footed, 1),
            weakerTouches: $weaker === null ? 0.0 : round($tally->contactsOf($weaker), 1),
            strikes: round($tally->contactsFor(Purpose::Shot), 1),
            headers: round($tally->contactsWith(Surface::Head), 1),
            headingMinutes: round($headingMinutes, 1),
        );
    }
}
