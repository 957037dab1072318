<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Progress;

use FleetSparrow\Core\Progress\AdviceAnswer;
use FleetSparrow\Core\Progress\DropOff;
use FleetSparrow\Core\Progress\FootRatio;
use FleetSparrow\Core\Progress\FootStory;
use FleetSparrow\Core\Progress\LadderPlace;
use FleetSparrow\Core\Progress\LineStory;
use FleetSparrow\Core\Progress\Milestone;
use FleetSparrow\Core\Progress\News;
use FleetSparrow\Core\Progress\NewsKind;
use FleetSparrow\Core\Progress\PlayerStory;
use FleetSparrow\Core\Progress\RungReading;
use FleetSparrow\Core\Progress\Slope;
use FleetSparrow\Core\Progress\SquadLine;
use FleetSparrow\Core\Progress\Standstill;
use FleetSparrow\Core\Progress\Trend;
use FleetSparrow\Core\Progress\TypicalError;
use FleetSparrow\Core\Progress\Verdict;
use FleetSparrow\Core\Record\Aim;
use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Record\Bounds;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Record\TargetSchool;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\StrongFoot;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What is said of a player, and when nothing is. */
final class PlayerStoryTest extends TestCase
{
    public function test_a_record_that_stands_while_the_days_climb_is_not_being_stuck(): void
    {
        // A lucky 20 on the first day; after it 10, 12, 14, 16, 18: the level is on its way.
        self::assertNull(Standstill::of(self::line([20, 10, 12, 14, 16, 18])));
        self::assertNotNull(Standstill::of(self::line([20, 14, 13, 15, 14, 13])));
        self::assertNull(Standstill::of(self::line([9.0, 14.0, 13.0, 12.0, 11.0, 10.0], MarkKind::TimeForWork)));
        self::assertNotNull(Standstill::of(self::line([9.0, 11.0, 12.0, 11.5, 12.0, 12.5], MarkKind::TimeForWork)));
    }

    public function test_a_slope_is_a_week_s_and_runs_through_the_middle_of_the_days(): void
    {
        // Two more every seven days, but for one odd day.
        $slope = Slope::of(self::line([10, 12, 14, 30, 18]));
        self::assertNotNull($slope);
        self::assertEqualsWithDelta([2.0, 10.0, 18.0], [$slope->aWeek, $slope->start, $slope->end], 1e-9);
        self::assertSame(5, $slope->days);
        self::assertNull(Slope::of(self::line([10])));
        self::assertNull(Slope::of(self::line([10, 11, 12, 13]))?->low);
    }

    public function test_fade_inside_a_session(): void
    {
        $fade = DropOff::of([[20, 18, 16], [10, 10, 7], [10, 9, 8], [10, 8]], Better::Higher);
        // Shares −0.2, −0.3, −0.2, −0.2: the middle one.
        self::assertNotNull($fade);
        self::assertEqualsWithDelta(-0.2, $fade->share, 1e-12);
        self::assertTrue($fade->isHabit());
        // Three sessions are no habit, a tenth less by a hair is none, and times run the other way.
        self::assertFalse(DropOff::of([[20, 18, 16], [10, 10, 7], [10, 9, 8]], Better::Higher)?->isHabit());
        self::assertTrue(DropOff::of(array_fill(0, 4, [10.0, 9.0]), Better::Higher)?->isHabit());
        self::assertFalse(DropOff::of(array_fill(0, 4, [100.0, 91.0]), Better::Higher)?->isHabit());
        self::assertFalse(DropOff::of([[10, 8], [10, 8], [10, 8], [10, 11], [10, 11]], Better::Higher)?->isHabit());
        self::assertEqualsWithDelta(-0.5, DropOff::of([[10, 15]], Better::Lower)?->share, 1e-12);
        // Without two sets, or from none, there is nothing to say.
        self::assertNull(DropOff::of([[10], [], [0, 5]], Better::Higher));
        // The standard deviation of 8 and 12 is √8, a share of 0.283 of their mean.
        self::assertEqualsWithDelta(sqrt(8.0) / 10.0, DropOff::of([[8, 12]], Better::Higher)?->variation, 1e-12);
    }

    public function test_a_milestone_is_passed_on_the_day_it_was_first_reached(): void
    {
        $passed = Milestone::of(self::line([17, 19, 20, 18, 21]));
        self::assertSame([20, '2026-03-17'], [$passed?->value, $passed?->on->iso()]);
        self::assertNull(Milestone::of(self::line([20, 21])), 'The first day of all is a start.');
        self::assertNull(Milestone::of(self::line([20.0, 10.0], MarkKind::TimeForWork)));
        self::assertNull(Milestone::of(self::line([])));
    }

    public function test_a_record_from_a_season_before_stands(): void
    {
        $before = SessionValue::ofOneTry(CalendarDate::fromIso('2025-10-07'), 18.0);
        $days = self::line([14, 15])->days;
        $line = LineReading::ofDays(MarkKind::CountInTime, $days, [], $before);
        self::assertSame('2025-10-07', $line->recordDay()?->on->iso());
        self::assertSame(19.0, Target::of($line, new Aim(TargetSchool::OwnRecord, Bounds::of(MarkKind::CountInTime, [])))?->value);
        // One day of this season that betters it is a new record, and no start.
        $better = LineReading::ofDays(MarkKind::CountInTime, self::line([19])->days, [], $before);
        self::assertSame(19.0, $better->recordSetOn(CalendarDate::fromIso('2026-03-03')));
    }

    public function test_the_heaviest_is_said_first_and_each_thing_once(): void
    {
        $squad = self::squad(1.5);
        $today = CalendarDate::fromIso('2026-04-25');
        $risen = LineStory::of('up', 'Gate to gate, left foot', self::line([14, 15, 13, 15, 17, 18, 17, 19]), $squad);
        $fallen = LineStory::of('down', 'Sole taps, feet in turn', self::line([19, 17, 18, 17, 15, 13, 15, 14]), $squad);
        $story = PlayerStory::of([$fallen, $risen], [], $today);

        self::assertSame([
            ['changed', 'Gate to gate, left foot', 'Clearly better lately: 14.3 to 17.8 reps.'],
            ['stuck', 'Sole taps, feet in turn', 'Clearly worse lately: 17.8 to 14.3 reps.'],
        ], array_map(static fn (News $one): array => [$one->kind->value, $one->about, $one->says], $story));
        self::assertSame(8, $story[0]->evidence->count);
        self::assertSame([
            'Mean of the earlier half 14.3, of the later half 17.8.',
            'A session value strays by 1.37 though nothing has changed (the squad\'s own and this player\'s, 13 degrees of freedom).',
            'The smallest change worth a word is 1.',
            'That it is better at all: 100 in 100.',
        ], $story[0]->evidence->inputs);
    }

    public function test_of_the_numbers_to_beat_the_likeliest_is_said_first_with_its_chance(): void
    {
        $line = static function (string $key, array $values): LineStory {
            $reading = self::line($values);
            $target = Target::of($reading, new Aim(TargetSchool::LastPlusOne, Bounds::of(MarkKind::CountInTime, [])));

            return LineStory::of($key, $key, $reading, self::squad(1.5), [], $target);
        };
        $story = PlayerStory::of(
            // One more than last time: seldom after the best day of all, often after a poor one; nothing is known of the third.
            [$line('seldom', [10, 11, 10, 11, 14]), $line('often', [13, 14, 13, 14, 9]), $line('unknown', [10, 11])],
            [],
            CalendarDate::fromIso('2026-04-01'),
        );
        self::assertSame(
            [
                ['often', '10 reps, last time 9, and one.'],
                ['seldom', '15 reps, last time 14, and one.'],
                ['unknown', '12 reps, last time 11, and one.'],
            ],
            array_map(static fn (News $one): array => [$one->about, $one->says], $story),
        );
        self::assertSame('Best of the last days: 13, 14, 13, 14, 9.', $story[0]->evidence->inputs[0]);
        // R: pt((12.6 - 10) / (sd(c(13, 14, 13, 14, 9)) * sqrt(1.2)), 4) is 0.842.
        self::assertSame('The next day reaches it about 84 times in 100.', $story[0]->evidence->inputs[1]);
        self::assertSame('Too few days, or all alike: nothing says how likely it is.', $story[2]->evidence->inputs[1]);
    }

    /**
     * Ten days each, the first two nought and then m = 10, 12, 14, 16, 18: the means of the last eight have the variance 10; differences
     * m once in nine, so squares about their mean m² · 8 ÷ 9, 8160 ÷ 9 in all on 40 degrees, halved 11 1/3: 0.2 · √(10 − 11 1/3 ÷ 8).
     */
    public function test_players_are_apart_by_their_last_eight_days(): void
    {
        $players = array_map(static fn (float $m): array => [0.0, 0.0, ...array_fill(0, 8, $m)], [10.0, 12.0, 14.0, 16.0, 18.0]);
        $squad = SquadLine::ofValues($players, 0.1);
        self::assertEqualsWithDelta(sqrt(34.0 / 3.0), $squad->error->value(), 1e-12);
        self::assertEqualsWithDelta(0.2 * sqrt(10.0 - 34.0 / 24.0), $squad->worthwhile, 1e-12);
    }

    public function test_where_everybody_is_alike_one_step_is_worth_a_word(): void
    {
        $alike = SquadLine::ofValues(array_fill(0, 5, [9.0, 9.0, 9.0]), 0.1);
        self::assertSame([0.1, 0.0], [$alike->worthwhile, $alike->error->value()]);
        // Who has no value yet is nobody to be apart from.
        self::assertNull(SquadLine::ofValues([...array_fill(0, 4, [9.0, 9.0, 9.0]), []], 0.1)->worthwhile);
    }

    public function test_stuck_on_most_lines_is_the_player_and_not_the_drill(): void
    {
        $squad = self::squad(1.5);
        $flat = static fn (int $i): LineStory => LineStory::of("k{$i}", "Drill {$i}", self::line([12, 16, 15, 16, 14, 15]), $squad);
        $free = LineStory::of('free', 'Free', self::line([10, 11, 12, 13, 14, 15]), $squad);
        $about = static fn (array $lines): array => array_map(
            static fn (News $one): string => $one->about,
            PlayerStory::of($lines, [], CalendarDate::fromIso('2026-04-08')),
        );

        self::assertContains('Stuck for weeks', $about([$flat(1), $flat(2), $flat(3), $flat(4), $free]));
        // Three are too few, and three of five too small a share.
        self::assertNotContains('Stuck for weeks', $about([$flat(1), $flat(2), $flat(3)]));
        self::assertNotContains('Stuck for weeks', $about([$flat(1), $flat(2), $flat(3), $flat(4), $free, $free]));
        // Of things alike two are enough.
        self::assertCount(3, $about([$flat(1), $flat(2), $flat(3), $flat(4)]));
    }

    public function test_what_was_not_met_for_weeks_is_stale_and_not_stuck(): void
    {
        $story = LineStory::of('k', 'Drill', self::line([12, 16, 15, 16, 14, 15]), self::squad(1.5));
        // The last of six days, a week apart from 3 March, is 7 April.
        self::assertFalse($story->isStale(CalendarDate::fromIso('2026-04-28')));
        self::assertTrue($story->isStale(CalendarDate::fromIso('2026-04-29')));
        $kinds = static fn (string $day): array => array_map(
            static fn (News $one): NewsKind => $one->kind,
            $story->news(CalendarDate::fromIso($day)),
        );
        self::assertSame([NewsKind::Stuck], $kinds('2026-04-28'));
        self::assertSame([], $kinds('2026-04-29'));
    }

    public function test_a_strong_foot_nobody_noticed(): void
    {
        $ahead = FootRatio::of(self::line([10, 10, 10]), self::line([11, 12, 11]));
        $behind = FootRatio::of(self::line([10, 10, 10]), self::line([8, 8, 8]));
        self::assertNotNull($ahead);
        self::assertNotNull($behind);
        self::assertSame([true, false], [$ahead->isAhead(), $behind->isAhead()]);
        // Eight of ten is not behind, 79 of 100 is.
        self::assertFalse($behind->isBehind());
        self::assertTrue(FootRatio::of(self::line([100]), self::line([79]))?->isBehind());
        $news = (new FootStory(StrongFoot::Right, ['A' => $ahead, 'B' => $ahead, 'C' => $behind]))->news();
        self::assertSame(
            [['Left foot', 'Ahead of the right on 2 of 3 drills, three times in a row. The right is written down as the stronger: is it?']],
            array_map(static fn (News $one): array => [$one->about, $one->says], $news),
        );
        // On one drill it may be the drill; level once is not ahead.
        self::assertSame([], (new FootStory(StrongFoot::Right, ['A' => $ahead, 'C' => $behind]))->news());
        self::assertFalse(FootRatio::of(self::line([10, 10, 10]), self::line([11, 10, 11]))?->isAhead());
        self::assertFalse(FootRatio::of(self::line([10, 10]), self::line([11, 11]))?->isAhead());
    }

    public function test_what_a_coach_says_to_advice_is_remembered(): void
    {
        $passed = RungReading::of(['both' => [10.0, 11.0]], 10.0, Better::Higher);
        $untried = RungReading::of(['both' => []], 10.0, Better::Higher);
        $up = LadderPlace::of([$passed, $untried, $untried]);
        self::assertSame([1, 'up', true], [$up->rung, $up->advice, $up->isAsking()]);

        $no = $up->answered(new AdviceAnswer(1, false, $up->why));
        self::assertSame([0, 'held', false], [$no->rung, $no->advice, $no->isAsking()]);
        $yes = $up->answered(new AdviceAnswer(1, true, $up->why));
        self::assertSame([1, 'stay', false], [$yes->rung, $yes->advice, $yes->isAsking()]);
        // New numbers say it anew.
        self::assertSame('up', $up->answered(new AdviceAnswer(1, false, 'As it was last week.'))->advice);
        self::assertSame($up, $up->answered(null));

        // Moved on, and the rung below no longer met: one stays where the coach said.
        $failed = LadderPlace::of([RungReading::of(['both' => [8.0, 9.0]], 10.0, Better::Higher), $untried, $untried]);
        self::assertSame(0, $failed->rung);
        self::assertSame(1, $failed->answered(new AdviceAnswer(1, true, 'then'))->rung);

        // Far too hard: eased, or not, as the coach says.
        $hard = LadderPlace::of([$passed, RungReading::of(['both' => [3.0, 4.0]], 10.0, Better::Higher), $untried]);
        self::assertSame([0, 'back'], [$hard->rung, $hard->advice]);
        self::assertSame([1, 'held'], [
            $hard->answered(new AdviceAnswer(0, false, $hard->why))->rung, $hard->answered(new AdviceAnswer(0, false, $hard->why))->advice,
        ]);
        self::assertSame('back', $hard->answered(new AdviceAnswer(1, true, 'then'))->advice);
    }

    public function test_passes_that_were_looked_at_must_be_good_besides(): void
    {
        $reading = static fn (int $looked, int $all): RungReading => RungReading::of(
            ['both' => [10.0, 10.0]],
            10.0,
            Better::Higher,
            ['looked' => $looked, 'all' => $all],
        );
        self::assertFalse($reading(8, 4)->isPassed);
        self::assertTrue($reading(8, 5)->isPassed);
        self::assertTrue($reading(0, 0)->isPassed);
        self::assertStringContainsString('of 8 passes looked at 4 accurate', $reading(8, 4)->why);
    }

    /** Six and seven values find a change of three typical errors in 94%, and turning a line into times mirrors every verdict. */
    public function test_six_and_seven_values_and_the_mirror(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $normal = static fn (): float => array_sum(array_map(
            static fn (): float => $random->getInt(0, 1_000_000) / 1_000_000,
            range(1, 12),
        )) - 6.0;
        $mirror = [
            'better' => Trend::Worse, 'clearly-better' => Trend::ClearlyWorse, 'worse' => Trend::Better,
            'clearly-worse' => Trend::ClearlyBetter, 'no-clear-change' => Trend::NoClearChange, 'too-few' => Trend::TooFew,
        ];
        [$found, $plays] = [0, 3000];
        for ($play = 0; $play < $plays; $play++) {
            $values = array_map(static fn (int $i): float => 20.0 + ($i > 3 ? 4.5 : 0.0) + 1.5 * $normal(), range(1, 6));
            $verdict = Verdict::of(self::line($values), self::squad(1.5))->trend;
            $found += in_array($verdict, [Trend::Better, Trend::ClearlyBetter], true) ? 1 : 0;
            if ($play % 10 === 0) {
                // The smallest worthwhile change is one either way, as the squad's line says.
                $times = Verdict::of(self::line($values, MarkKind::TimeForWork), self::squad(1.5))->trend;
                self::assertSame($mirror[$verdict->value], $times);
            }
        }
        self::assertGreaterThanOrEqual(0.94, $found / $plays);
    }

    private static function squad(float $error): SquadLine
    {
        $step = $error * sqrt(2.0) * sqrt(0.9);
        $values = [20.0];
        for ($i = 0; $i < 10; $i++) {
            $values[] = $values[$i] + ($i % 2 === 0 ? $step : -$step);
        }

        return SquadLine::ofFigures(TypicalError::of($values), 1.0);
    }

    /** @param  list<int|float>  $values  a week apart from 3 March 2026 */
    private static function line(array $values, MarkKind $kind = MarkKind::CountInTime): LineReading
    {
        $start = CalendarDate::fromIso('2026-03-03');

        return LineReading::ofDays($kind, array_map(
            static fn (int $i, float $value): SessionValue => SessionValue::ofOneTry($start->plusDays(7 * $i), $value),
            array_keys($values),
            array_map(floatval(...), $values),
        ));
    }
}
