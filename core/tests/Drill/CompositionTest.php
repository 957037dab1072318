<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Drill;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Touch\FootMark;
use PHPUnit\Framework\TestCase;

/** Drills put together from parts, links and items. */
final class CompositionTest extends TestCase
{
    public function test_a_warm_up_circuit_takes_the_sum_of_its_items_and_counts_their_touches(): void
    {
        $plan = self::evaluate(self::drill('warm-up-circuit-three'));

        // 10 pairs of taps at 0.9 s, half a minute, 10 pairs at 0.8 s, half a minute, 10 at 1.6 s, half a minute.
        self::assertEqualsWithDelta(9 + 30 + 8 + 30 + 16 + 30, $plan->blocks[0]->partSeconds['work'], 1e-9);
        $touches = $plan->touches[1];
        // Twenty contacts a move, ten with each foot; 30 s of free dribbling at a contact a second, foot unknown.
        self::assertEqualsWithDelta(
            [30.0, 30.0, 90.0],
            [$touches->contactsOf(FootMark::Left), $touches->contactsOf(FootMark::Right), $touches->contactsOf(FootMark::Unknown)],
            1e-9,
        );
        $work = array_values(array_filter($plan->blocks[0]->segments, fn (Segment $segment): bool => $segment->kind === SegmentKind::Work));
        self::assertSame(
            ['Twenty sole taps', 'Free dribbling', 'Twenty inside taps', 'Free dribbling', 'Twenty rolls and stops', 'Free dribbling'],
            array_map(fn (Segment $segment): ?string => $segment->item, $work),
        );
        self::assertSame([false, true, false, true, false, true], array_map(fn (Segment $segment): bool => $segment->endsByClock, $work));
    }

    public function test_twelve_windows_of_thirty_seconds_are_six_minutes_to_the_second(): void
    {
        $work = self::evaluate(self::drill('twelve-windows'))->blocks[0];

        self::assertSame(360.0, $work->partSeconds['work']);
        self::assertSame(0.0, $work->work->variance());
        self::assertCount(12, self::drill('twelve-windows')->composition->items);
        // Two of the twelve have no ball; a beep never waits, so no rest lies between.
        self::assertCount(
            2,
            array_filter(
                self::drill('twelve-windows')->composition->items,
                fn ($item): bool => ! str_contains($item->script->text(), '.') && ! str_contains($item->script->text(), '~'),
            ),
        );
        self::assertSame([], array_filter($work->segments, fn (Segment $segment): bool => $segment->kind === SegmentKind::Rest));
    }

    public function test_rounds_repeat_the_items_and_the_rest_lies_between_them(): void
    {
        $drill = self::drill('warm-up-circuit-three');
        $seconds = fn (int $rounds, int $rest): float => self::evaluate(
            $drill,
            ['kind' => 'circuit', 'rounds' => $rounds, 'restSeconds' => $rest],
        )->blocks[0]->partSeconds['work'];

        self::assertEqualsWithDelta(3 * 123 + 2 * 20, $seconds(3, 20), 1e-9);
    }

    public function test_seven_wall_exercises_by_ten_good_ones_take_fifteen_to_twenty_minutes(): void
    {
        // Common practice, no source: a wall routine of seven exercises by ten good ones each foot takes 15 to 20 min.
        $minutes = self::evaluate(self::drill('wall-seven-good'))->blocks[0]->partSeconds['work'] / 60;

        self::assertGreaterThan(10, $minutes);
        self::assertLessThan(20, $minutes);
    }

    public function test_link_k_of_a_build_up_is_everything_so_far(): void
    {
        $drill = self::drill('build-up-sole-chain');

        self::assertSame('(a.sole/still b.sole/still)x2', $drill->upTo(1)->script->text());
        self::assertSame('(a.sole/still b.sole/still)x2 a.sole/across b.in/still', $drill->upTo(2)->script->text());
        self::assertSame($drill->script->text(), $drill->upTo(99)->script->text());
        self::assertSame(
            $drill->script->text(),
            implode(' ', array_map(fn ($part): string => $part->script->text(), $drill->composition->parts)),
        );
        self::assertLessThan($drill->secondsPerRep, $drill->upTo(2)->secondsPerRep);
        $this->expectException(InvalidPlan::class);
        $this->expectExceptionMessage('This build-up has 1 to 5 links.');
        Block::ofDrill('a', $drill, $drill->doseFrom(null), Tempo::Steady, null, 6);
    }

    public function test_a_combination_counts_for_the_moves_it_is_made_of(): void
    {
        $drill = self::drill('combo-pull-back-step-over');

        self::assertSame('*look *look a.sole/back >a180 a~step-over b.out/out b.lace/fwd', $drill->script->text());
        self::assertContains('drag-back', $drill->composition->moves());
    }

    public function test_only_a_circuit_is_done_in_rounds_and_no_dose_is_asked_for(): void
    {
        foreach ([
            ['sole-taps', ['kind' => 'circuit', 'rounds' => 2, 'restSeconds' => 0], 'Only a circuit'],
            ['twelve-windows', ['kind' => 'free', 'minutes' => 2, 'sides' => 'both'], 'A circuit is done in rounds'],
            ['wall-as-you-like', null, 'comes with no dose'],
            ['twelve-windows', ['kind' => 'circuit', 'rounds' => 0, 'restSeconds' => 0], 'Rounds must be between 1 and 20'],
        ] as [$slug, $dose, $why]) {
            try {
                self::drill($slug)->doseFrom($dose);
                self::fail("{$slug} was taken.");
            } catch (InvalidDose $refused) {
                self::assertStringContainsString($why, $refused->getMessage());
            }
        }
    }

    /** @param  array<string, mixed>|null  $dose */
    private static function evaluate(Drill $drill, ?array $dose = null): PlanEvaluation
    {
        return PlanEvaluator::evaluate(
            [Block::ofDrill('b', $drill, $drill->doseFrom($dose), Tempo::Steady, null)],
            PlanContext::of([new PlanPlayer(1, StrongFoot::Right)], [], new ClockRules),
        );
    }

    private static function drill(string $slug): Drill
    {
        return array_column(array_map(fn (Drill $drill): array => [$drill->slug, $drill], BookTest::book()), 1, 0)[$slug];
    }
}
