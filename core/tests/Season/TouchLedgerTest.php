<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Season;

use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Season\DrillTouches;
use FleetSparrow\Core\Season\FootTouches;
use FleetSparrow\Core\Season\LedgerEntry;
use FleetSparrow\Core\Season\TouchLedger;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\TestCase;

/** Touches add up, counted and estimated told apart to the last sum. */
final class TouchLedgerTest extends TestCase
{
    /** Pull back and out, R and L, two sets a side: `a.sole/back a.in/out` is two touches of the leading foot a rep. */
    private static function pullBack(string $kind = 'count-in-time', string $dose = 'timed'): Drill
    {
        $doses = [
            'timed' => ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 20, 'sides' => 'each'],
            'quota' => ['kind' => 'quota', 'good' => 10, 'sets' => 1, 'restSeconds' => 20, 'sides' => 'each'],
            'streak' => ['kind' => 'streak', 'tries' => 2, 'sets' => 2, 'goal' => 20, 'restSeconds' => 20, 'sides' => 'each'],
        ];

        return DrillFactory::fromFields([
            'slug' => 'pull-back', 'script' => 'a.sole/back a.in/out', 'secondsPerRep' => 1.5, 'dose' => $doses[$dose],
            'scoring' => ['kind' => $kind, 'starts' => 'whistle', 'stops' => 'whistle'],
        ] + Drills::fields());
    }

    private static function planned(Drill $drill, float $reps): DrillTouches
    {
        self::assertNotNull($drill->dose);
        $block = Block::ofDrill('b', $drill, $drill->dose, Tempo::Steady, null);
        $right = Tally::ofContacts(['R sole g none' => 1.0, 'R in g none' => 1.0])->times($reps / 2.0);
        $left = Tally::ofContacts(['L sole g none' => 1.0, 'L in g none' => 1.0])->times($reps / 2.0);

        return DrillTouches::of($block, StrongFoot::Right, $right->plus($left));
    }

    public function test_a_circuit_s_number_says_nothing_of_its_touches_planned_or_not(): void
    {
        $circuits = 0;
        foreach (array_map(DrillFactory::fromFields(...), BookTest::fields()) as $drill) {
            if (! $drill->dose instanceof CircuitDose) {
                continue;
            }
            $circuits++;
            $block = Block::ofDrill('b', $drill, $drill->dose, Tempo::Steady, null);
            self::assertSame([], DrillTouches::of($block, StrongFoot::Right, Tally::zero())->fields()['sets']);
            $alone = DrillTouches::unplanned($drill, MarkKind::CountInTime)->with(['R' => [5.0], 'both' => [5.0]]);
            self::assertSame(0.0, $alone['counted']->contacts());
        }
        self::assertGreaterThan(2, $circuits);
    }

    public function test_what_was_not_planned_is_what_was_counted_and_nothing_besides(): void
    {
        $reps = DrillTouches::unplanned(self::pullBack(), MarkKind::CountInTime)->with(['R' => [14.0, 10.0], 'L' => [3.0]]);
        self::assertSame([0.0, 48.0, 6.0], [
            $reps['estimated']->contacts(),
            $reps['counted']->contactsOf(FootMark::Right),
            $reps['counted']->contactsOf(FootMark::Left),
        ]);
        // Where single touches are counted, the number is of them.
        $touches = DrillTouches::unplanned(self::pullBack(), MarkKind::TouchesOnPath)->with(['R' => [14.0]]);
        self::assertSame(14.0, $touches['counted']->contacts());
        // A time says nothing of how much was done.
        $time = DrillTouches::unplanned(self::pullBack(), MarkKind::TimeForWork)->with(['R' => [14.0]]);
        self::assertSame(0.0, $time['counted']->contacts());
        // One touch a rep, and that of the foot which does it.
        $one = DrillFactory::fromFields(['slug' => 'one-touch', 'script' => 'a.in'] + Drills::fields());
        $left = DrillTouches::unplanned($one, MarkKind::CountInTime)->with(['L' => [7.0]])['counted'];
        self::assertSame([7.0, 0.0], [$left->contactsOf(FootMark::Left), $left->contactsOf(FootMark::Right)]);
        // It comes back as it was kept.
        $kept = DrillTouches::fromFields(DrillTouches::unplanned(self::pullBack(), MarkKind::CountInTime)->fields());
        self::assertSame(28.0, $kept->with(['R' => [14.0]])['counted']->contacts());
    }

    /**
     * @param  array<string, list<float>>  $counts
     * @return array{float, float, float, float} left and right, estimated and then counted
     */
    private static function feet(DrillTouches $touches, array $counts): array
    {
        ['estimated' => $estimated, 'counted' => $counted] = $touches->with($counts);

        return [
            $estimated->contactsOf(FootMark::Left), $estimated->contactsOf(FootMark::Right),
            $counted->contactsOf(FootMark::Left), $counted->contactsOf(FootMark::Right),
        ];
    }

    public function test_what_was_counted_takes_the_place_of_what_was_estimated_set_by_set(): void
    {
        // 80 reps planned in four sets: 20 a set, 40 touches; so 80 touches with each foot.
        $touches = self::planned(self::pullBack(), 80.0);
        self::assertSame([80.0, 80.0, 0.0, 0.0], self::feet($touches, []));
        // One set on the right counted 15: 30 touches for the 40 that were estimated of it.
        self::assertSame([80.0, 40.0, 0.0, 30.0], self::feet($touches, ['R' => [15.0]]));
        // Both sets on both sides: nothing is estimated any more.
        self::assertSame([0.0, 0.0, 66.0, 70.0], self::feet($touches, ['R' => [15.0, 20.0], 'L' => [16.0, 17.0]]));
        // A third number of two sets is counted, and takes away no more than there was.
        self::assertSame([80.0, 0.0, 0.0, 60.0], self::feet($touches, ['R' => [10.0, 10.0, 10.0]]));
        // A side that was not planned says nothing.
        self::assertSame([80.0, 80.0, 0.0, 0.0], self::feet($touches, ['both' => [15.0]]));
    }

    public function test_tries_for_good_ones_are_reps_that_were_done(): void
    {
        // 10 good ones a side planned at 12.5 tries: 25 touches with each foot; on the left it took 14 tries.
        $quota = self::planned(self::pullBack('tries-for-quota', 'quota'), 25.0);
        self::assertSame([0.0, 25.0, 28.0, 0.0], self::feet($quota, ['L' => [14.0]]));
    }

    public function test_the_longest_run_tells_no_touches(): void
    {
        self::assertSame([20.0, 20.0, 0.0, 0.0], self::feet(self::planned(self::pullBack('longest-run', 'streak'), 20.0), ['R' => [9.0]]));
    }

    public function test_kept_and_read_back_it_is_the_same_and_twice_in_a_session_it_adds_up(): void
    {
        $touches = self::planned(self::pullBack(), 80.0);
        self::assertEquals($touches, DrillTouches::fromFields($touches->fields()));
        $twice = $touches->plus($touches);
        self::assertSame([160.0, 120.0, 0.0, 30.0], self::feet($twice, ['R' => [15.0]]));
    }

    public function test_a_side_is_never_made_up_and_the_sums_agree(): void
    {
        $entry = static fn (string $day, array $estimated, array $counted): LedgerEntry => new LedgerEntry(
            CalendarDate::fromIso($day),
            'drill',
            'dribbling',
            60.0,
            Tally::ofContacts($estimated),
            Tally::ofContacts($counted),
        );
        $ledger = TouchLedger::of([
            $entry('2026-03-03', ['? in g none' => 50.0, 'R in g pass' => 10.0], []),
            // Footwork without a ball.
            $entry('2026-03-12', [], []),
            $entry('2026-03-12', ['- head a none' => 2.0], ['L sole g none' => 30.0, 'R sole g none' => 10.0]),
        ]);

        self::assertEquals(new FootTouches(30.0, 10.0, 0.0, 0.0), $ledger->counted);
        self::assertEquals(new FootTouches(0.0, 10.0, 50.0, 2.0), $ledger->estimated);
        self::assertSame(102.0, $ledger->all()->total());
        // Forty of the sixty with a known foot are... thirty left, twenty right.
        self::assertSame(0.4, $ledger->all()->rightShare());
        self::assertSame(2.0, $ledger->ballMinutes());
        self::assertSame(['pass' => 10.0], $ledger->byPurpose());
        self::assertSame(102.0, array_sum(array_map(array_sum(...), $ledger->bySideAndSurface())));
        self::assertSame(40.0, $ledger->tally->contactsWith(Surface::Sole));

        // Weeks of a season from Wednesday 25 February, beginning on Mondays: 3 March in the second, 12 March in the third.
        $weeks = $ledger->weeks(CalendarDate::fromIso('2026-02-25'), CalendarDate::fromIso('2026-03-16'), 1);
        self::assertSame(
            [[1, '2026-02-23', 0.0], [2, '2026-03-02', 60.0], [3, '2026-03-09', 42.0], [4, '2026-03-16', 0.0]],
            array_map(static fn (array $one): array => [$one['week'], $one['from']->iso(), $one['touches']->total()], $weeks),
        );
        self::assertNull((new FootTouches(unknown: 9.0))->rightShare());
    }

    public function test_less_of_a_kind_is_never_under_none(): void
    {
        $rep = Tally::of(Script::fromText('R.in L.sole L.sole'));
        self::assertSame(['L sole g none' => 1.5], $rep->less(Tally::ofContacts(['L sole g none' => 0.5, 'R in g none' => 7.0]))->byKind);
    }
}
