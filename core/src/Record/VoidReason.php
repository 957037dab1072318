<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What makes a whole try void. */
enum VoidReason: string
{
    case Hand = 'hand';
    case BallLeaves = 'ball-leaves';
    case MarkerLeftOut = 'marker-left-out';
    case MarkerTouched = 'marker-touched';

    public function sentence(): string
    {
        return match ($this) {
            self::Hand => 'A hand on the ball.',
            self::BallLeaves => 'The ball leaves the ground marked out.',
            self::MarkerLeftOut => 'A marker left out.',
            self::MarkerTouched => 'A marker touched.',
        };
    }
}
