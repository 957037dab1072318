<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What a fault is, counted beside the number. */
enum FaultKind: string
{
    case MarkerTouched = 'marker-touched';
    case LineNotCrossed = 'line-not-crossed';
    case ExtraTouch = 'extra-touch';
    case WrongFoot = 'wrong-foot';
    case PoorOne = 'poor-one';

    public function words(): string
    {
        return match ($this) {
            self::MarkerTouched => 'A marker touched',
            self::LineNotCrossed => 'The line not crossed',
            self::ExtraTouch => 'A touch too many',
            self::WrongFoot => 'The wrong foot',
            self::PoorOne => 'A poor one',
        };
    }
}
