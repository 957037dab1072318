<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockLine;
use FleetSparrow\Core\Plan\Counted;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Record\DoseMeasures;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Owed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CountedTest extends TestCase
{
    private const SETS = ['sets' => 1, 'restSeconds' => 0, 'sides' => 'right'];

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function doses(): iterable
    {
        yield 'timed' => [['kind' => 'timed', 'workSeconds' => 30] + self::SETS, [
            'count-in-time', 'longest-run', 'hits-of-attempts', 'chain-steps', 'farthest-distance', 'seconds-held', 'rung-reached',
        ]];
        yield 'race' => [['kind' => 'race', 'reps' => 5] + self::SETS, [
            'time-for-work', 'touches-on-path', 'most-touches-on-path', 'protocol-score',
        ]];
        yield 'good ones' => [
            ['kind' => 'quota', 'good' => 10, 'restSeconds' => 0, 'sides' => 'right'],
            ['tries-for-quota', 'time-for-work', 'rung-reached'],
        ];
        yield 'a total' => [
            ['kind' => 'collective', 'total' => 100, 'onlyGood' => 0] + self::SETS,
            ['time-for-work', 'longest-run', 'running-total'],
        ];
        yield 'to the first hit' => [['kind' => 'tries', 'balls' => 5, 'untilHit' => 1] + self::SETS, [
            'tries-to-first-hit', 'chain-steps', 'farthest-distance', 'seconds-held', 'rung-reached',
        ]];
        yield 'hits of all' => [['kind' => 'tries', 'balls' => 5, 'untilHit' => 0] + self::SETS, [
            'hits-of-attempts', 'chain-steps', 'farthest-distance', 'seconds-held', 'rung-reached',
        ]];
        yield 'free' => [
            ['kind' => 'free', 'minutes' => 3, 'sides' => 'both'],
            ['chain-steps', 'farthest-distance', 'seconds-held', 'rung-reached'],
        ];
    }

    /**
     * @param  array<string, mixed>  $dose
     * @param  list<string>  $gives
     */
    #[DataProvider('doses')]
    public function test_what_a_dose_gives(array $dose, array $gives): void
    {
        $kinds = DoseMeasures::of(DoseKinds::standard()->read($dose));
        self::assertSame($gives, array_map(static fn (MarkKind $kind): string => $kind->value, $kinds));
    }

    public function test_a_dose_that_cannot_give_the_drill_s_number_gives_its_own(): void
    {
        // Sole taps are counted in a time; done as ten reps against the clock they have a time, under what makes them count.
        $race = ['kind' => 'race', 'reps' => 10] + self::SETS;
        $block = self::block(Drills::soleTaps(), $race);
        self::assertSame(MarkKind::TimeForWork, $block->drill?->rule?->kind);
        self::assertSame([14, [Side::Right]], self::owed($block, 14));

        self::assertSame(MarkKind::CountInTime, self::block(Drills::soleTaps(), null)->drill?->rule?->kind);
        self::assertNull(self::block(Drills::soleTaps(), $race, 'nothing')->drill?->rule);
        self::assertSame([0, []], self::owed(self::block(Drills::soleTaps(), $race, 'nothing'), 14));
        self::assertSame(MarkKind::TouchesOnPath, self::block(Drills::soleTaps(), $race, 'touches-on-path')->drill?->rule?->kind);
        // Nothing was counted and nothing is, unless it is wanted.
        $quiet = DrillFactory::fromFields(['scoring' => null] + Drills::fields());
        self::assertNull(self::block($quiet, $race)->drill?->rule);
        self::assertSame(MarkKind::TimeForWork, self::block($quiet, $race, 'time-for-work')->drill?->rule?->kind);
    }

    public function test_a_number_the_dose_cannot_give_is_refused_in_words(): void
    {
        $this->expectException(InvalidPlan::class);
        $this->expectExceptionMessage('This dose gives no reps: choose another number, or none.');
        self::block(Drills::soleTaps(), ['kind' => 'race', 'reps' => 10] + self::SETS, 'count-in-time');
    }

    public function test_a_goal_or_a_cap_starts_no_new_line(): void
    {
        $key = static function (array $dose): string {
            $drill = Drills::soleTaps();
            $block = self::block($drill, $dose + self::SETS);

            return $block->lines(4)[0]->task->key;
        };
        self::assertSame($key(['kind' => 'streak', 'goal' => 25]), $key(['kind' => 'streak', 'goal' => 50]));
        self::assertSame(
            $key(['kind' => 'tries', 'balls' => 5, 'untilHit' => 1]),
            $key(['kind' => 'tries', 'balls' => 8, 'untilHit' => 1, 'limitSeconds' => 60]),
        );
        $ofAll = static fn (int $balls): array => ['kind' => 'tries', 'balls' => $balls, 'untilHit' => 0];
        self::assertNotSame($key($ofAll(5)), $key($ofAll(8)));
    }

    public function test_items_of_a_circuit_owe_their_own_numbers(): void
    {
        $together = self::circuit('last');
        // Two of three items are counted, the first on each foot: 7 · (2 + 1) = 21 numbers, each after its own stretch.
        self::assertSame([21, [Side::Right, Side::Left, Side::Both]], self::owed($together, 7));
        self::assertSame([[0, 7], [0, 7], [2, 7]], self::asked($together, 7));
        // At their own pace both feet are added, and all are asked for at the end: 7 · 2 = 14.
        $own = self::circuit('own');
        self::assertSame([14, [Side::Both]], self::owed($own, 7));
        self::assertSame([[0, 7], [2, 7]], self::asked($own, 7));

        $lines = $together->lines(4);
        self::assertSame([0, 2], array_values(array_unique(array_map(static fn (BlockLine $one): ?int => $one->item, $lines))));
        self::assertCount(count($lines), array_unique(array_map(static fn (BlockLine $one): string => $one->task->key, $lines)));
        self::assertSame([0, []], self::owed(self::circuit('last', 'nothing'), 7));
        // Fourteen numbers of two seconds each, written after the end.
        self::assertEqualsWithDelta(28.0, self::worked($own, 7)->partSeconds['write'], 1e-9);
    }

    public function test_every_drill_of_the_book_has_a_number_its_dose_can_give(): void
    {
        foreach (BookTest::book() as $drill) {
            if ($drill->dose !== null && $drill->rule !== null && $drill->composition->items === []) {
                self::assertTrue(DoseMeasures::fits($drill->rule->kind, $drill->dose), $drill->slug);
            }
            foreach ($drill->composition->items as $item) {
                $doesFit = $item->rule === null || DoseMeasures::fits($item->rule->kind, $item->dose);
                self::assertTrue($doesFit, "{$drill->slug}, {$item->name}");
            }
        }
    }

    private static function circuit(string $goesBy, ?string $counted = null): Block
    {
        $scoring = ['kind' => 'count-in-time', 'starts' => 'whistle', 'stops' => 'whistle'];
        $item = static fn (string $name, string $sides, ?array $scoring): array => [
            'name' => $name,
            'script' => $name === 'Third' ? 'a.out b.out' : 'a.in b.in',
            'secondsPerRep' => 1,
            'goodChance' => 0.8,
            'fetchSeconds' => 3,
            'dose' => ['kind' => 'timed', 'workSeconds' => 30, 'sides' => $sides],
            'restSeconds' => 10,
        ] + ($scoring === null ? [] : ['scoring' => $scoring]);
        $drill = DrillFactory::fromFields([
            'script' => null,
            'secondsPerRep' => null,
            'scoring' => null,
            'circuit' => [$item('First', 'each', $scoring), $item('Second', 'both', null), $item('Third', 'both', $scoring)],
            'dose' => ['kind' => 'circuit', 'rounds' => 1, 'restSeconds' => 0, 'goesBy' => $goesBy],
        ] + Drills::fields());

        return self::block($drill, null, $counted);
    }

    /** @param  array<string, mixed>|null  $dose */
    private static function block(Drill $drill, ?array $dose, ?string $counted = null): Block
    {
        return Block::ofDrill('a', $drill, $drill->doseFrom($dose), Tempo::Steady, null, counted: Counted::named($counted));
    }

    private static function worked(Block $block, int $players): BlockEvaluation
    {
        $people = array_map(static fn (int $i): PlanPlayer => new PlanPlayer($i, StrongFoot::Right), range(1, $players));

        return PlanEvaluator::evaluate([$block], PlanContext::of($people, [], new ClockRules))->blocks[0];
    }

    /** @return array{int, list<Side>} how many numbers, and of which sides in their order */
    private static function owed(Block $block, int $players): array
    {
        $owed = self::worked($block, $players)->owed;

        return [
            count($owed),
            array_map(Side::from(...), array_values(array_unique(array_map(static fn (Owed $one): string => $one->side, $owed)))),
        ];
    }

    /** @return list<array{int|null, int}> item and numbers, in the order of the stretches */
    private static function asked(Block $block, int $players): array
    {
        $asked = [];
        foreach (self::worked($block, $players)->segments as $segment) {
            $items = array_map(static fn (Owed $one): int => $one->item ?? -1, $segment->owed);
            foreach (array_count_values($items) as $item => $count) {
                $asked[] = [$item, $count];
            }
        }

        return $asked;
    }
}
