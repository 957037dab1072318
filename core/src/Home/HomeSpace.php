<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

/** How much room there is at home; a 10 yd lane, and squares of 5 and 2 m (common practice, no source). */
enum HomeSpace: string
{
    case Hallway = 'hallway';
    case SmallSquare = 'small-square';
    case Square = 'square';
    case Lane = 'lane';

    public function words(): string
    {
        return match ($this) {
            self::Hallway => 'a hallway, 1.2 by 4 m',
            self::SmallSquare => 'two by two metres',
            self::Square => 'five by five metres',
            self::Lane => 'a lane of ten yards',
        };
    }

    /** @return array{int, int} width and depth in millimetres */
    public function millimetres(): array
    {
        return match ($this) {
            self::Hallway => [1200, 4000],
            self::SmallSquare => [2000, 2000],
            self::Square => [5000, 5000],
            self::Lane => [3000, 9144],
        };
    }
}
