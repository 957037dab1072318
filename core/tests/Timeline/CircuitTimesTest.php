<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Timeline;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\DoseFields;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Dose\TimedDose;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\CircuitItem;
use FleetSparrow\Core\Drill\CircuitPace;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\CircuitTimes;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Timeline\Whistle;
use FleetSparrow\Core\Touch\Script;
use PHPUnit\Framework\TestCase;

/** The three ways through a circuit: who waits for whom. */
final class CircuitTimesTest extends TestCase
{
    public function test_seven_items_of_ten_good_ones_for_fourteen(): void
    {
        // Worked example: chance 0.6, 4 s a try, 6 s to fetch, an effect for each item, nobody stopped.
        $good = self::item(QuotaDose::of(10, 0.0, DoseSides::Right, 0.0));
        self::assertEqualsWithDelta(1990.0, self::times(CircuitPace::Last, ...array_fill(0, 7, $good))->whole(14)->mean(), 25.0);
        self::assertEqualsWithDelta(1235.0, self::times(CircuitPace::Own, ...array_fill(0, 7, $good))->whole(14)->mean(), 15.0);
    }

    public function test_by_the_clock_a_turn_is_what_half_the_groups_need(): void
    {
        $good = self::item(QuotaDose::of(10, 0.0, DoseSides::Right));
        $times = self::times(CircuitPace::Clock, $good, self::item(TimedDose::of(40.0, 1, 0.0, DoseSides::Right)));
        $slowest = self::times(CircuitPace::Last, $good)->item($good, 7)->at(0.5);
        $turn = $times->item($good, 7)->mean();
        self::assertTrue($times->whole(7)->isFixed());
        self::assertSame($turn + 40.0, $times->whole(7)->mean());
        self::assertSame([0.0, true], [fmod($turn, 15.0), $turn >= $slowest && $turn < $slowest + 15.0]);
        // A clocked item keeps its own time, and nobody does more or less of it; of good ones most begin again.
        $clocked = self::item(TimedDose::of(40.0, 1, 0.0, DoseSides::Right));
        self::assertSame(40.0 / $clocked->pace->secondsPerRep, $times->reps($clocked, 7));
        $toTheLast = self::times(CircuitPace::Last, $good)->reps($good, 7);
        self::assertGreaterThan(1.5 * $toTheLast, $times->reps($good, 7));
        // Who may be stopped does fewer than who goes at their own pace.
        self::assertLessThan(self::times(CircuitPace::Own, $good)->reps($good, 7), $toTheLast);
    }

    public function test_rests_lie_between_items_and_between_rounds_and_none_trails(): void
    {
        $item = self::item(TimedDose::of(40.0, 1, 0.0, DoseSides::Right), restSeconds: 10.0);
        foreach (CircuitPace::cases() as $pace) {
            // 40 + 10 + 40 a round, and 25 between two of them.
            $seconds = fn (int $rounds): float => (new CircuitTimes(CircuitDose::of([$item, $item], $rounds, 25.0, $pace), new Memo))
                ->whole(7)->mean();
            self::assertEqualsWithDelta([90.0, 205.0], [$seconds(1), $seconds(2)], 1e-9, $pace->value);
        }
    }

    public function test_the_whistle_goes_at_quarters_of_a_minute(): void
    {
        self::assertSame([15.0, 30.0, 47.0], array_map(Whistle::seconds(...), [
            Quantiles::of([1.0, 15.0, 90.0]), Quantiles::of([1.0, 15.5, 90.0]), Quantiles::fixed(47.0),
        ]));
    }

    public function test_in_a_plan_only_the_last_wait_differs(): void
    {
        [$last, $clock, $own] = array_map(
            fn (string $pace): BlockEvaluation => self::plan('wall-seven-good', ['rounds' => 2, 'restSeconds' => 30, 'goesBy' => $pace]),
            ['last', 'clock', 'own'],
        );
        self::assertGreaterThan($own->work->mean() * 1.2, $last->work->mean());
        self::assertSame([false, true, false], [$last->isClocked(), $clock->isClocked(), $own->isClocked()]);
        // At own pace there is one stretch a round and the rest between them; nobody waits but for the end of a round.
        self::assertSame(
            ['work', 'rest', 'work'],
            array_values(array_filter(
                array_map(fn (Segment $one): string => $one->kind->value, $own->segments),
                fn (string $kind): bool => in_array($kind, ['work', 'rest'], true),
            )),
        );
        self::assertLessThan($last->times[1]->waitingSeconds, $own->times[1]->waitingSeconds);
        self::assertSame(0.0, $clock->atWork[1]->waitingSeconds);
        foreach ([$last, $clock, $own] as $way) {
            $isWork = fn (Segment $one): bool => in_array($one->kind, [SegmentKind::Work, SegmentKind::Rest], true);
            $work = array_filter($way->segments, $isWork);
            $seconds = array_sum(array_map(fn (Segment $one): float => $one->seconds, $work));
            self::assertEqualsWithDelta($way->work->mean(), $seconds, 1e-6);
            // Stretches and player say the same touches.
            $touches = array_sum(array_map(fn (Segment $one): float => $one->leftTouches + $one->rightTouches, $work));
            self::assertEqualsWithDelta($way->touches[1]->contacts(), $touches, 1e-6);
        }
        // Where nobody is stopped the touches are those of the whole dose; on the whistle more.
        self::assertGreaterThan($last->touches[1]->contacts(), $own->touches[1]->contacts());
        self::assertGreaterThan($own->touches[1]->contacts(), $clock->touches[1]->contacts());
    }

    public function test_with_fewer_places_than_people_the_next_shift_goes_through_after_a_change(): void
    {
        $one = self::plan('wall-seven-good', ['rounds' => 1, 'restSeconds' => 0, 'goesBy' => 'clock']);
        $two = self::plan('wall-seven-good', ['rounds' => 1, 'restSeconds' => 0, 'goesBy' => 'clock'], stations: 4);
        $changes = fn (BlockEvaluation $block): array => array_values(array_map(
            fn (Segment $one): float => $one->seconds,
            array_filter($block->segments, fn (Segment $one): bool => $one->kind === SegmentKind::Change),
        ));
        self::assertSame([[], [3.0]], [$changes($one), $changes($two)]);
        // Seven in two shifts of four and three; whoever has no place waits for it.
        self::assertGreaterThan(1.6 * $one->work->mean(), $two->work->mean());
        self::assertGreaterThan(0.4 * $two->work->mean(), $two->times[1]->waitingSeconds);
    }

    public function test_the_way_through_a_circuit_is_read_and_written(): void
    {
        $items = [self::item(TimedDose::of(40.0, 1, 0.0, DoseSides::Right))];
        $read = fn (array $fields): CircuitDose => CircuitDose::fromFields($items, new DoseFields($fields));
        $plain = ['kind' => 'circuit', 'rounds' => 1, 'restSeconds' => 0.0];
        self::assertSame(CircuitPace::Last, $read($plain)->pace);
        self::assertSame($plain, $read(['goesBy' => 'last'] + $plain)->fields());
        self::assertSame($plain + ['goesBy' => 'own'], $read(['goesBy' => 'own'] + $plain)->fields());
        $this->expectExceptionMessage('Choose one of last, clock, own.');
        $read(['goesBy' => 'all'] + $plain);
    }

    private static function item(QuotaDose|TimedDose $dose, float $restSeconds = 0.0): CircuitItem
    {
        return new CircuitItem('item', Script::fromText('a.in'), $dose, Pace::of(4.0, 0.6, 6.0), $restSeconds, null, null, null);
    }

    private static function times(CircuitPace $pace, CircuitItem ...$items): CircuitTimes
    {
        return new CircuitTimes(CircuitDose::of(array_values($items), 1, 0.0, $pace), new Memo);
    }

    /** @param  array<string, mixed>  $dose */
    private static function plan(string $slug, array $dose, ?int $stations = null): BlockEvaluation
    {
        $fields = array_values(array_filter(BookTest::fields(), fn (array $one): bool => $one['slug'] === $slug));
        $drill = DrillFactory::fromFields($fields[0]);
        $block = Block::ofDrill('a', $drill, $drill->doseFrom(['kind' => 'circuit'] + $dose), Tempo::Steady, $stations);
        $players = array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, 7));

        $context = PlanContext::of($players, [], new ClockRules, new KitOwned(wallPlaces: 7));

        return PlanEvaluator::evaluate([$block], $context)->blocks[0];
    }
}
