<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What ends the clock or the count of a try. */
enum ClockStop: string
{
    case Whistle = 'whistle';
    case BallDead = 'ball-dead';
    case LastMarker = 'last-marker';
    case OtherLine = 'other-line';
    case LastGood = 'last-good';
    case LastBall = 'last-ball';
    case FirstHit = 'first-hit';
    case Total = 'total';
    case BallOnGround = 'ball-on-ground';

    public function words(): string
    {
        return match ($this) {
            self::Whistle => 'the whistle',
            self::BallDead => 'the ball dead under the foot',
            self::LastMarker => 'past the last marker',
            self::OtherLine => 'the other line',
            self::LastGood => 'the last good one',
            self::LastBall => 'the last ball',
            self::FirstHit => 'the first hit',
            self::Total => 'the total reached',
            self::BallOnGround => 'the ball on the ground',
        };
    }
}
