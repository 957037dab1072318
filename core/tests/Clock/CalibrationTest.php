<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Clock;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Clock\Calibration;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\Segment;
use PHPUnit\Framework\TestCase;

final class CalibrationTest extends TestCase
{
    use TestTrait;

    public function test_the_rules_own_example(): void
    {
        $own = Calibration::of([[8, 10], [10, 14], [8, 9], [9, 13]]);

        // Ratios 1.25, 1.4, 1.125 and 1.4444, their median 1.325; (4·1.325 + 3) ÷ 7.
        self::assertEqualsWithDelta(1.1857, $own->factor, 5e-5);
        self::assertSame([4, 0], [$own->blocks, $own->leftOut]);
        self::assertSame(' Times 1.19, from your last 4 blocks.', $own->sentence());
        // To 1.325: 0.9434, 1.0566, 0.8491, 1.0901; their spread about 1 is 0.1116, pulled with three of a quarter.
        self::assertEqualsWithDelta((4 * 0.11164 + 3 * 0.25) / 7, $own->variation, 1e-4);
    }

    public function test_what_was_only_tapped_through_teaches_nothing_and_is_said(): void
    {
        $work = [[8, 10], [10, 14], [8, 9], [9, 13]];
        $tapped = Calibration::of([...$work, [60, 1], [60, 19.9], [60, 181]]);
        self::assertSame(Calibration::of($work)->factor, $tapped->factor);
        self::assertSame([4, 3], [$tapped->blocks, $tapped->leftOut]);
        self::assertStringEndsWith(
            'from your last 4 blocks. 3 left out: passed in under a third of the plan, or over three times as long.',
            $tapped->sentence(),
        );
        // At the very edge it is still believed.
        self::assertSame([2, 0], [Calibration::of([[60, 20], [60, 180]])->blocks, Calibration::of([[60, 20], [60, 180]])->leftOut]);
        $nothing = Calibration::of([[60, 1]]);
        self::assertSame([1.0, 0.25, 0, 1], [$nothing->factor, $nothing->variation, $nothing->blocks, $nothing->leftOut]);
        self::assertStringStartsWith(' 1 left out', $nothing->sentence());
    }

    public function test_with_no_past_nothing_is_changed_and_nothing_is_said(): void
    {
        self::assertEquals(Calibration::none(), Calibration::of([]));
        self::assertSame(
            [1.0, 0.25, 0, ''],
            [Calibration::none()->factor, Calibration::none()->variation, Calibration::none()->blocks, Calibration::none()->sentence()],
        );
    }

    public function test_lies_between_no_change_and_the_coachs_own_ratio_and_nears_it(): void
    {
        $this->forAll(Generators::choose(1, 40), Generators::choose(34, 300))->then(function (int $blocks, int $percent): void {
            $factor = Calibration::of(array_fill(0, $blocks, [100, $percent]))->factor;
            self::assertGreaterThanOrEqual(min(1.0, $percent / 100) - 1e-9, $factor);
            self::assertLessThanOrEqual(max(1.0, $percent / 100) + 1e-9, $factor);
            $more = Calibration::of(array_fill(0, $blocks + 1, [100, $percent]))->factor;
            self::assertLessThanOrEqual(abs($factor - $percent / 100) + 1e-9, abs($more - $percent / 100));
        });
    }

    public function test_refuses_times_that_cannot_be(): void
    {
        foreach ([[0, 5], [-1, 5], [5, -1], [NAN, 5], [5, INF]] as $time) {
            try {
                Calibration::of([$time]);
                self::fail('The time was taken.');
            } catch (InvalidPlan $refusal) {
                self::assertSame('calibration', $refusal->reason());
            }
        }
    }

    public function test_each_judged_part_is_stretched_by_its_own(): void
    {
        $evaluate = fn (ClockRules $rules): PlanEvaluation => PlanEvaluator::evaluate(
            [Block::ofDrill('a', Drills::soleTaps(), Drills::soleTaps()->dose, Tempo::Steady, 2)],
            PlanContext::of(
                array_map(fn (int $i): PlanPlayer => new PlanPlayer($i, StrongFoot::Right), range(1, 4)),
                [],
                $rules,
                isLaidBefore: false,
            ),
        );
        $double = Calibration::of(array_fill(0, 3, [10, 30]));
        self::assertSame(2.0, $double->factor);
        $plain = $evaluate(new ClockRules)->blocks[0];
        $own = $evaluate(new ClockRules(setUp: $double))->blocks[0];

        self::assertSame(
            [40.0, 60.0, 0.0],
            [$plain->partSeconds['setUp'], $plain->partSeconds['explain'], $plain->partSeconds['changeOver']],
        );
        self::assertSame([80.0, 60.0, 0.0], [$own->partSeconds['setUp'], $own->partSeconds['explain'], $own->partSeconds['changeOver']]);
        self::assertSame(
            [120.0, 0.0],
            [
                $evaluate(new ClockRules(explain: $double))->blocks[0]->partSeconds['explain'],
                $evaluate(new ClockRules(changeOver: $double))->blocks[0]->partSeconds['changeOver'],
            ],
        );
        self::assertStringEndsWith('Times 2.00, from your last 3 blocks.', $own->how[0]);
        // What is measured at the pitch is held against the plain time, so that a calibration is not calibrated again.
        self::assertSame(
            [40.0, 60.0],
            array_values(array_filter(
                array_map(fn (Segment $segment): ?float => $segment->plainSeconds, $own->segments),
                fn (?float $seconds): bool => $seconds !== null,
            )),
        );
    }
}
