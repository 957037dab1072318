<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Season;

use FleetSparrow\Core\Builder\Fortnight;
use FleetSparrow\Core\Builder\FortnightNeed;
use FleetSparrow\Core\Builder\Needs;
use FleetSparrow\Core\Builder\Noted;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Season\FamilyCoverage;
use FleetSparrow\Core\Season\FootTouches;
use FleetSparrow\Core\Season\Overrun;
use FleetSparrow\Core\Season\PlayedFamily;
use FleetSparrow\Core\Season\PlayedForward;
use FleetSparrow\Core\Season\WhatIf;
use FleetSparrow\Core\Shared\CalendarDate;
use PHPUnit\Framework\TestCase;

/** What a season says of the weeks behind and of those ahead. */
final class SeasonAheadTest extends TestCase
{
    /** @return list<PlayedFamily> Tuesdays and Thursdays from 3 March 2026, so many weeks: each evening dribbles 100 R and 60 L */
    private static function played(int $weeks, float $weaker = 60.0): array
    {
        $played = [];
        for ($i = 0; $i < 2 * $weeks; $i++) {
            $on = CalendarDate::fromIso('2026-03-03')->plusDays(7 * intdiv($i, 2) + ($i % 2 === 0 ? 0 : 2));
            $played[] = new PlayedFamily($i, $on, 'dribbling', 8.0, new FootTouches($weaker, 100.0), $weaker, 100.0 + $weaker);
        }

        return $played;
    }

    public function test_weeks_of_a_family_how_long_not_met_and_how_the_feet_share_it(): void
    {
        $juggled = new PlayedFamily(0, CalendarDate::fromIso('2026-03-03'), 'juggling', 5.0, new FootTouches(50.0, 50.0), 50.0, 100.0);
        $all = FamilyCoverage::all(
            [...self::played(5), $juggled],
            CalendarDate::fromIso('2026-03-02'),
            CalendarDate::fromIso('2026-04-05'),
            1,
        );

        self::assertSame([1, 2, 3, 4, 5], array_keys($all['dribbling']->weeks));
        self::assertSame(16.0, $all['dribbling']->weeks[1]['minutes']);
        self::assertSame(320.0, $all['dribbling']->weeks[1]['touches']->total());
        self::assertSame([3, false], [$all['dribbling']->daysAgo, $all['dribbling']->isStale()]);
        self::assertSame(60.0 / 160.0, $all['dribbling']->weakerLately);
        // 3 March to 5 April are 33 days.
        $juggling = $all['juggling'];
        self::assertSame([33, true, '2026-03-03'], [$juggling->daysAgo, $juggling->isStale(), $juggling->lastOn->iso()]);
        self::assertNull($all['juggling']->weakerLately);
        self::assertSame(0.5, $all['juggling']->weakerBefore);
    }

    public function test_what_a_few_do_at_home_is_in_the_weeks_and_is_no_evening_of_the_squad(): void
    {
        $at = static fn (int $session, string $on, bool $isHome): PlayedFamily => new PlayedFamily(
            $session, CalendarDate::fromIso($on), 'juggling', 5.0, new FootTouches(5.0, 5.0), 5.0, 10.0, $isHome,
        );
        $played = [...self::played(5), $at(0, '2026-03-03', false), $at(900, '2026-04-01', true)];
        $all = FamilyCoverage::all($played, CalendarDate::fromIso('2026-03-02'), CalendarDate::fromIso('2026-04-05'), 1);
        self::assertSame([1, 5], array_keys($all['juggling']->weeks));
        self::assertSame([33, true, 20.0], [$all['juggling']->daysAgo, $all['juggling']->isStale(), $all['juggling']->touches->total()]);
        // Met at home alone it has its own last day.
        [$from, $until] = [CalendarDate::fromIso('2026-03-02'), CalendarDate::fromIso('2026-04-05')];
        $alone = FamilyCoverage::all([$at(900, '2026-04-01', true)], $from, $until, 1);
        self::assertSame(4, $alone['juggling']->daysAgo);
        $today = CalendarDate::fromIso('2026-04-03');
        self::assertEquals(
            PlayedForward::of([...self::played(5), $at(0, '2026-03-03', false)], $today, WhatIf::AsItGoes, 1),
            PlayedForward::of($played, $today, WhatIf::AsItGoes, 1),
        );
    }

    public function test_the_weeks_and_what_took_longer_say_how_they_are_known(): void
    {
        $home = new PlayedFamily(900, CalendarDate::fromIso('2026-04-01'), 'juggling', 5.0, new FootTouches, 0.0, 0.0, isHome: true);
        $known = FamilyCoverage::evidence([...self::played(3), $home]);
        self::assertSame(7, $known->count);
        self::assertSame('6 sessions with the squad.', $known->inputs[0]);
        self::assertSame('1 day on which somebody practised at home, confirmed by a coach.', $known->inputs[1]);
        $longer = Overrun::evidence([new Overrun('gate', 'Gates', 3, 4, 1.2), new Overrun('cut', 'Cuts', 1, 5, -0.1)]);
        self::assertSame([9, 'Gates: 4 blocks, 3 of them longer.'], [$longer->count, $longer->inputs[0]]);
    }

    public function test_every_evening_alike_is_played_forward_without_a_range(): void
    {
        // Friday 3 April; the evenings of the next four weeks are eight Tuesdays and Thursdays of 160 touches.
        $today = CalendarDate::fromIso('2026-04-03');
        $now = PlayedForward::of(self::played(5), $today, WhatIf::AsItGoes, 1);
        self::assertNotNull($now);
        self::assertSame(8, $now->evenings);
        self::assertEquals(['low' => 1280.0, 'middle' => 1280.0, 'high' => 1280.0], $now->touches);
        self::assertEqualsWithDelta(0.375, $now->weakerShare['middle'] ?? 0.0, 1e-12);
        // Each week has 320, as the four before it had.
        self::assertEqualsWithDelta(1.0, $now->load['middle'] ?? 0.0, 1e-12);
        self::assertSame([], $now->stale);

        // Four evenings more, all of their footed touches with the weaker foot: (8 · 60 + 4 · 160) ÷ (12 · 160).
        $more = PlayedForward::of(self::played(5), $today, WhatIf::OtherFootEvening, 1);
        self::assertSame(12, $more?->evenings);
        self::assertEqualsWithDelta(1120.0 / 1920.0, $more->weakerShare['middle'] ?? 0.0, 1e-12);
        self::assertSame(1920.0, $more->touches['middle']);

        $away = PlayedForward::of(self::played(5), $today, WhatIf::TwoWeeksAway, 1);
        self::assertSame([4, 640.0], [$away?->evenings, $away?->touches['middle']]);
        // The first week back has 320 against the mean of 320, 320, 0 and 0.
        self::assertEqualsWithDelta(2.0, $away->load['middle'] ?? 0.0, 1e-12);
        $fewer = PlayedForward::of(self::played(5), $today, WhatIf::OneEveningFewer, 1);
        self::assertSame([4, 640.0], [$fewer?->evenings, $fewer?->touches['middle']]);
        self::assertNull(PlayedForward::of([self::played(1)[0]], $today, WhatIf::AsItGoes, 1));
    }

    /** Against plays written apart: eight evenings drawn from two kinds are a binomial number of the fuller kind. */
    public function test_the_range_is_that_of_evenings_drawn_by_lot(): void
    {
        $played = [];
        foreach (self::played(4) as $i => $one) {
            $touches = $i % 2 === 0 ? 100.0 : 300.0;
            $played[] = new PlayedFamily($one->session, $one->on, $one->family, 8.0, new FootTouches($touches), 0.0, 0.0);
        }
        $found = PlayedForward::of($played, CalendarDate::fromIso('2026-03-27'), WhatIf::AsItGoes, 3);
        // R: qbinom(c(.1, .5, .9), 8, .5) is 2, 4, 6; of 8 evenings with 100 and 200 more for each fuller one.
        self::assertEquals(['low' => 1200.0, 'middle' => 1600.0, 'high' => 2000.0], $found?->touches);
        self::assertNull($found->weakerShare);
        self::assertEquals($found, PlayedForward::of($played, CalendarDate::fromIso('2026-03-27'), WhatIf::AsItGoes, 3));
    }

    public function test_what_fades_is_counted_in_plays(): void
    {
        $today = CalendarDate::fromIso('2026-04-03');
        $old = new PlayedFamily(99, CalendarDate::fromIso('2026-03-03'), 'juggling', 5.0, new FootTouches(50.0, 50.0), 50.0, 100.0);
        $found = PlayedForward::of([...self::played(5), $old], $today, WhatIf::AsItGoes, 1);
        // Juggling was not in one of the last eight evenings: it cannot come back.
        self::assertSame(['juggling' => 1.0], $found?->stale);
    }

    public function test_the_next_fortnight_needs_what_fades_the_other_foot_who_is_stuck_and_who_moves_on(): void
    {
        $families = FamilyCoverage::all(
            [
                ...self::played(5, weaker: 40.0),
                new PlayedFamily(0, CalendarDate::fromIso('2026-03-03'), 'juggling', 5.0, new FootTouches(50.0, 50.0), 50.0, 100.0),
            ],
            CalendarDate::fromIso('2026-03-02'),
            CalendarDate::fromIso('2026-04-05'),
            1,
        );
        $needs = new Needs(
            records: ['juggle' => 3],
            nextFor: ['cut' => ['Amina', 'Bo', 'Dag', 'Elif', 'Ines', 'Kofi']],
            stuck: ['gate' => [new Noted('Piet', 12.0, CalendarDate::fromIso('2026-03-01')), new Noted('Kofi', 14.0)]],
        );
        $drills = [
            'juggle' => ['name' => 'Juggling', 'family' => Family::Juggling],
            'cut' => ['name' => 'Inside cut', 'family' => Family::Turning],
            'gate' => ['name' => 'Gate to gate', 'family' => Family::Passing],
        ];

        $found = Fortnight::of($families, $needs, $drills, 1.7);
        self::assertSame([
            ['A lighter week', 'The last seven days had 1.7 times the touches of the four weeks before.', null, null, false],
            ['Juggling', 'Not met for 33 days. 3 have a number to beat.', 'juggling', null, false],
            [
                'Dribbling with the other foot', '29% of the touches in the last four weeks, 29% in the four weeks before.', 'dribbling',
                null, true,
            ],
            ['Inside cut', 'Next on a ladder for Amina, Bo, Dag, Elif and 2 more.', 'turning', 'cut', false],
            ['Gate to gate', '2 are stuck: Piet, Kofi. Ease it, or change the task.', 'passing', null, false],
        ], array_map(static fn (FortnightNeed $one): array => [
            $one->about, $one->says, $one->theme?->value, $one->drill, $one->isOtherFoot,
        ], $found));
        self::assertSame([], Fortnight::of([], new Needs, [], 1.5));
        // What is not in the book any more is not asked for.
        self::assertSame([], Fortnight::of([], $needs, [], null));
    }
}
