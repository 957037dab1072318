<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

use FleetSparrow\Core\Exception\InvalidPlan;

/** What there is at home: minutes, days, room, kit, a wall, somebody to serve, and whether it must be quiet and nothing may break. */
final readonly class HomePlace
{
    public const MINUTES = [10, 20];

    public const DAYS = [1, 7];

    /** @param  int<1, 7>  $days */
    private function __construct(
        public int $minutes,
        public int $days,
        public HomeSpace $space,
        public HomeWall $wall,
        public bool $hasHelper,
        public bool $isQuiet,
        public HomeKit $kit,
    ) {
    }

    /**
     * @param  int  $minutes  a day
     * @param  int  $days  a week
     * @param  bool  $isQuiet  neighbours beneath, or something that may break: nothing in the air, nothing hard
     *
     * @throws InvalidPlan If the minutes are outside 10 to 20, or the days outside 1 to 7.
     */
    public static function of(
        int $minutes,
        int $days,
        HomeSpace $space,
        HomeWall $wall = HomeWall::None,
        bool $hasHelper = false,
        bool $isQuiet = false,
        HomeKit $kit = HomeKit::Things,
    ): self {
        if ($minutes < self::MINUTES[0] || $minutes > self::MINUTES[1]) {
            throw InvalidPlan::at('minutes', 'Ten to twenty minutes a day: short and often.');
        }
        if ($days < self::DAYS[0] || $days > self::DAYS[1]) {
            throw InvalidPlan::at('days', 'One to seven days a week.');
        }

        return new self(
            minutes: $minutes,
            days: $days,
            space: $space,
            wall: $wall,
            hasHelper: $hasHelper,
            isQuiet: $isQuiet,
            kit: $kit,
        );
    }

    /** In words, as a sentence goes on after "fits". */
    public function words(): string
    {
        return $this->space->words()
            .($this->isQuiet ? ', quietly' : '')
            .($this->kit === HomeKit::BallOnly ? ', with a ball and nothing else' : '');
    }
}
