<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** The nine skill families. */
enum Family: string
{
    case BallMastery = 'ball-mastery';
    case Dribbling = 'dribbling';
    case Turning = 'turning';
    case FirstTouch = 'first-touch';
    case Passing = 'passing';
    case OneVersusOne = '1v1-moves';
    case Juggling = 'juggling';
    case Striking = 'striking';
    case Footwork = 'footwork';

    public function words(): string
    {
        return match ($this) {
            self::BallMastery => 'ball mastery',
            self::FirstTouch => 'first touch',
            self::OneVersusOne => '1v1 moves',
            default => $this->value,
        };
    }
}
