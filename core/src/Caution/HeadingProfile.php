<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Caution;

use FleetSparrow\Core\Shared\AgeGroup;

/**
 * Whose limits on heading a squad follows. Written down from memory of the published guidance; both have been revised since
 * and may be again, so a screen that shows a limit shows its source and year.
 *
 * U.S. Soccer speaks of ages, the groups here of "under": players of U11 are ten or younger during the season.
 */
enum HeadingProfile: string
{
    /** U.S. Soccer, Recognize to Recover, 2016: none at ten and under, 30 min and 15 to 20 headers a week at eleven to thirteen. */
    case UsSoccer2016 = 'us-soccer-2016';

    /** The Football Association, heading guidance for youth training, 2020. The default, as it covers every group to U18. */
    case TheFa2020 = 'the-fa-2020';

    /** Stricter than either: a club that has decided against heading. */
    case NoHeading = 'no-heading';

    public function limitFor(AgeGroup $ageGroup): HeadingLimit
    {
        return match ($this) {
            self::NoHeading => HeadingLimit::barred('the club\'s own rule', null),
            self::UsSoccer2016 => self::usSoccer($ageGroup->under),
            self::TheFa2020 => self::theFa($ageGroup->under),
        };
    }

    private static function usSoccer(int $under): HeadingLimit
    {
        return match (true) {
            $under <= 11 => HeadingLimit::barred('U.S. Soccer', 2016),
            // Of "15 to 20 a week" the lower end: a limit that protects is read on the safe side.
            $under <= 14 => HeadingLimit::atMost(
                15,
                perSession: null,
                sessions: null,
                days: 7,
                minutesPerWeek: 30,
                source: 'U.S. Soccer',
                year: 2016,
            ),
            default => HeadingLimit::asFewAsPossible('U.S. Soccer', 2016),
        };
    }

    private static function theFa(int $under): HeadingLimit
    {
        return match (true) {
            $under <= 11 => HeadingLimit::barred('The FA', 2020),
            $under === 12 => HeadingLimit::atMost(
                5,
                perSession: 5,
                sessions: 1,
                days: 28,
                minutesPerWeek: null,
                source: 'The FA',
                year: 2020,
            ),
            $under === 13 => HeadingLimit::atMost(
                5,
                perSession: 5,
                sessions: 1,
                days: 7,
                minutesPerWeek: null,
                source: 'The FA',
                year: 2020,
            ),
            $under <= 16 => HeadingLimit::atMost(
                10,
                perSession: 10,
                sessions: 1,
                days: 7,
                minutesPerWeek: null,
                source: 'The FA',
                year: 2020,
            ),
            default => HeadingLimit::asFewAsPossible('The FA', 2020),
        };
    }
}
