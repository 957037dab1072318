<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

/** What a routine is made for. The default gives both feet the same: it suits everybody and hides no gap. */
enum HomeSchool: string
{
    case BothFeet = 'both-feet';
    case OtherFootDay = 'other-foot-day';
    case Records = 'records';
    case GoodOnes = 'good-ones';

    public function words(): string
    {
        return match ($this) {
            self::BothFeet => 'the same for both feet',
            self::OtherFootDay => 'the other foot alone, one day a week',
            self::Records => 'numbers to beat first',
            self::GoodOnes => 'only good ones count',
        };
    }
}
