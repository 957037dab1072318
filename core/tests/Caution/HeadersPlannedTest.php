<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Caution;

use FleetSparrow\Core\Caution\HeadersPlanned;
use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Earlier;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Both sides of every limit of the published profiles, over rolling windows; the profiles are written from memory. */
final class HeadersPlannedTest extends TestCase
{
    /** @return iterable<string, array{HeadingProfile, string, float, list<Earlier>, bool}> */
    public static function limits(): iterable
    {
        $fa = HeadingProfile::TheFa2020;
        $us = HeadingProfile::UsSoccer2016;
        yield 'none at U11, the FA' => [$fa, 'U11', 1.0, [], false];
        yield 'five at U12' => [$fa, 'U12', 5.0, [], true];
        yield 'six at U12' => [$fa, 'U12', 6.0, [], false];
        yield 'U12, a session with headers 27 days ago' => [$fa, 'U12', 1.0, [new Earlier(27, 1.0)], false];
        yield 'U12, a session with headers 28 days ago' => [$fa, 'U12', 1.0, [new Earlier(28, 1.0)], true];
        yield 'U12, a session without headers yesterday' => [$fa, 'U12', 5.0, [new Earlier(1, 0.0)], true];
        yield 'U13, a session with headers six days ago' => [$fa, 'U13', 1.0, [new Earlier(6, 1.0)], false];
        yield 'U13, a session with headers seven days ago' => [$fa, 'U13', 5.0, [new Earlier(7, 5.0)], true];
        yield 'ten at U16' => [$fa, 'U16', 10.0, [], true];
        yield 'eleven at U16' => [$fa, 'U16', 11.0, [], false];
        yield 'as few as possible is always said' => [$fa, 'U17', 1.0, [], false];
        yield 'none at U11, U.S. Soccer' => [$us, 'U11', 1.0, [], false];
        yield 'fifteen in a week at U12' => [$us, 'U12', 10.0, [new Earlier(3, 5.0)], true];
        yield 'sixteen in a week at U12' => [$us, 'U12', 10.0, [new Earlier(3, 6.0)], false];
        yield 'sixteen in more than a week at U12' => [$us, 'U12', 10.0, [new Earlier(7, 6.0)], true];
    }

    /** @param  list<Earlier>  $before */
    #[DataProvider('limits')]
    public function test_both_sides_of_the_limit(
        HeadingProfile $profile,
        string $ageGroup,
        float $headers,
        array $before,
        bool $isFine,
    ): void {
        $sentence = HeadersPlanned::sentence($headers, $profile->limitFor(AgeGroup::of($ageGroup)), $before);

        self::assertSame($isFine, $sentence === null, (string) $sentence);
    }

    public function test_says_what_came_before_and_whose_limit_it_is(): void
    {
        $limit = HeadingProfile::UsSoccer2016->limitFor(AgeGroup::of('U13'));

        self::assertSame(
            '4 headers a player, after 13 in 2 sessions of the last 7 days. '
                .'At most 15 headers a player in 7 days and 30 minutes a week (U.S. Soccer 2016; '
                .'may have changed, your local rules come first).',
            HeadersPlanned::sentence(4.0, $limit, [new Earlier(2, 6.0), new Earlier(5, 7.0)]),
        );
        self::assertNull(HeadersPlanned::sentence(0.0, HeadingProfile::NoHeading->limitFor(AgeGroup::of('U18'))));
        self::assertNotNull(HeadersPlanned::sentence(0.2, HeadingProfile::NoHeading->limitFor(AgeGroup::of('U18'))));
    }
}
