<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Ladder;

/** In which way a rung is harder than the one below it. */
enum Axis: string
{
    case Tempo = 'tempo';
    case Space = 'space';
    case Touches = 'touches';
    case Foot = 'foot';
    case Surface = 'surface';
    case Air = 'air';
    case Travel = 'travel';
    case Height = 'height';
    case Variety = 'variety';
    case Direction = 'direction';
    case Service = 'service';
    case Information = 'information';
    case Opposition = 'opposition';

    /** The other way round: in which way the rung below is easier. */
    public function easierWords(): string
    {
        return match ($this) {
            self::Tempo => 'slower',
            self::Space => 'more or less space',
            self::Touches => 'more touches',
            self::Foot => 'the better foot',
            self::Surface => 'the surface before',
            self::Air => 'less in the air',
            self::Travel => 'on the spot',
            self::Height => 'lower',
            self::Variety => 'always the same',
            self::Direction => 'the direction before',
            self::Service => 'an easier service',
            self::Information => 'less to look for',
            self::Opposition => 'nobody in the way',
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Tempo => 'faster',
            self::Space => 'less or more space',
            self::Touches => 'fewer touches',
            self::Foot => 'the other foot',
            self::Surface => 'another surface',
            self::Air => 'the ball in the air',
            self::Travel => 'on the move',
            self::Height => 'higher',
            self::Variety => 'a different one each time',
            self::Direction => 'another direction',
            self::Service => 'a harder service',
            self::Information => 'called, looked for or remembered',
            self::Opposition => 'somebody in the way',
        };
    }
}
