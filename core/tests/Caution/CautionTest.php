<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Caution;

use FleetSparrow\Core\Caution\BallSize;
use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Exception\InvalidValue;
use FleetSparrow\Core\Shared\AgeGroup;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CautionTest extends TestCase
{
    /**
     * Both sides of each limit, from memory of U.S. Soccer 2016 and The FA 2020.
     *
     * @return array<string, array{HeadingProfile, string, bool, int|null, int|null}> profile, group, barred, headers, days
     */
    public static function limits(): array
    {
        return [
            'U.S. Soccer U11' => [HeadingProfile::UsSoccer2016, 'U11', true, 0, null],
            'U.S. Soccer U12' => [HeadingProfile::UsSoccer2016, 'U12', false, 15, 7],
            'U.S. Soccer U14' => [HeadingProfile::UsSoccer2016, 'U14', false, 15, 7],
            'U.S. Soccer U15' => [HeadingProfile::UsSoccer2016, 'U15', false, null, null],
            'The FA U11' => [HeadingProfile::TheFa2020, 'U11', true, 0, null],
            'The FA U12, a month is 28 days' => [HeadingProfile::TheFa2020, 'U12', false, 5, 28],
            'The FA U13, a week' => [HeadingProfile::TheFa2020, 'U13', false, 5, 7],
            'The FA U14' => [HeadingProfile::TheFa2020, 'U14', false, 10, 7],
            'The FA U16' => [HeadingProfile::TheFa2020, 'U16', false, 10, 7],
            'The FA U17' => [HeadingProfile::TheFa2020, 'U17', false, null, null],
            'a club without heading, the oldest' => [HeadingProfile::NoHeading, 'U18', true, 0, null],
        ];
    }

    #[DataProvider('limits')]
    public function test_heading_limits(HeadingProfile $profile, string $group, bool $barred, ?int $headers, ?int $days): void
    {
        $limit = $profile->limitFor(AgeGroup::of($group));

        self::assertSame([$barred, $headers, $days], [$limit->isBarred, $limit->headers, $limit->days]);
    }

    public function test_no_profile_allows_a_younger_group_more_than_an_older_one(): void
    {
        foreach (HeadingProfile::cases() as $profile) {
            $before = 0.0;
            foreach (AgeGroup::names() as $name) {
                $limit = $profile->limitFor(AgeGroup::of($name));
                $perDay = $limit->isBarred ? 0.0 : ($limit->headers === null ? INF : $limit->headers / ($limit->days ?? 1));
                self::assertGreaterThanOrEqual($before, $perDay, "{$profile->value} {$name}");
                $before = $perDay;
            }
        }
    }

    public function test_a_limit_says_its_source_and_that_it_may_have_changed(): void
    {
        self::assertSame(
            'At most 15 headers a player in 7 days and 30 minutes a week '
                .'(U.S. Soccer 2016; may have changed, your local rules come first).',
            HeadingProfile::UsSoccer2016->limitFor(AgeGroup::of('U12'))->sentence(),
        );
        self::assertSame('No heading (the club\'s own rule).', HeadingProfile::NoHeading->limitFor(AgeGroup::of('U12'))->sentence());
        self::assertStringStartsWith(
            'As little heading as possible (The FA 2020',
            HeadingProfile::TheFa2020->limitFor(AgeGroup::of('U18'))->sentence(),
        );
    }

    /** Common practice in the United States, no source. */
    public function test_the_ball_by_age(): void
    {
        self::assertSame(
            [3, 3, 4, 4, 5, 5],
            array_map(fn (string $group): int => BallSize::for(AgeGroup::of($group)), ['U6', 'U8', 'U9', 'U12', 'U13', 'U18']),
        );
    }

    public function test_an_age_group_is_u6_to_u18(): void
    {
        self::assertSame('U6', AgeGroup::of('U6')->name());
        self::assertNull(AgeGroup::tryOf('U5'));
        self::assertNull(AgeGroup::tryOf('U19'));
        self::assertNull(AgeGroup::tryOf("U12\n"));
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage('The age group "under twelve" is not one of U6 to U18.');
        AgeGroup::of('under twelve');
    }
}
