<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

/** What a coach may wonder about the weeks that come. */
enum WhatIf: string
{
    case AsItGoes = 'as-it-goes';
    case OtherFootEvening = 'other-foot-evening';
    case TwoWeeksAway = 'two-weeks-away';
    case OneEveningFewer = 'one-evening-fewer';

    public function words(): string
    {
        return match ($this) {
            self::AsItGoes => 'as it goes now',
            self::OtherFootEvening => 'one more evening a week, on the other foot only',
            self::TwoWeeksAway => 'two weeks away first',
            self::OneEveningFewer => 'one evening a week fewer',
        };
    }
}
