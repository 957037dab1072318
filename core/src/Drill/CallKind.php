<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** What a caller calls. */
enum CallKind: string
{
    case Colour = 'colour';
    case Number = 'number';
    /** The side that pressure comes from. */
    case Side = 'side';
    case Name = 'name';
    case Movement = 'movement';

    public function words(): string
    {
        return $this === self::Side ? 'the side that pressure comes from' : "a {$this->value}";
    }
}
