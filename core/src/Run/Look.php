<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

use FleetSparrow\Core\Shared\CalendarDate;

/** One ball of the one player in focus, judged: a first touch by its weight and which foot took it, or a pass by three ticks. */
final readonly class Look
{
    private function __construct(
        public int $playerId,
        public string $drillSlug,
        public CalendarDate $on,
        public ?TouchWeight $weight,
        public ?bool $isFarFoot,
        public bool $isAccurate,
        public bool $isRightPace,
        public bool $isClean,
    ) {
    }

    /** @param  bool|null  $isFarFoot  the foot farther from where the ball came from; null where that was not seen */
    public static function atTouch(int $playerId, string $drillSlug, CalendarDate $on, TouchWeight $weight, ?bool $isFarFoot): self
    {
        return new self(
            playerId: $playerId,
            drillSlug: $drillSlug,
            on: $on,
            weight: $weight,
            isFarFoot: $isFarFoot,
            isAccurate: false,
            isRightPace: false,
            isClean: false,
        );
    }

    public static function atPass(
        int $playerId,
        string $drillSlug,
        CalendarDate $on,
        bool $isAccurate,
        bool $isRightPace,
        bool $isClean,
    ): self {
        return new self(
            playerId: $playerId,
            drillSlug: $drillSlug,
            on: $on,
            weight: null,
            isFarFoot: null,
            isAccurate: $isAccurate,
            isRightPace: $isRightPace,
            isClean: $isClean,
        );
    }

    public function isTouch(): bool
    {
        return $this->weight !== null;
    }
}
