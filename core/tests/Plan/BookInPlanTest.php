<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Plan\Availability;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\TestCase;

/** Every drill of the book, in every school of dose, for any number of players: the laws a plan must keep. */
final class BookInPlanTest extends TestCase
{
    use TestTrait;

    private const DOSES = [
        ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 20],
        ['kind' => 'reps', 'reps' => 10, 'sets' => 2, 'restSeconds' => 20],
        ['kind' => 'lengths', 'lengths' => 4, 'andBack' => 1, 'sets' => 2, 'restSeconds' => 20],
        ['kind' => 'quota', 'good' => 10, 'restSeconds' => 15],
        ['kind' => 'collective', 'total' => 100, 'onlyGood' => 1, 'sets' => 1, 'restSeconds' => 0],
        ['kind' => 'streak', 'goal' => 50, 'sets' => 3, 'restSeconds' => 10],
        ['kind' => 'race', 'reps' => 1, 'sets' => 3, 'restSeconds' => 25],
        ['kind' => 'tries', 'balls' => 5, 'untilHit' => 1, 'sets' => 2, 'restSeconds' => 20],
        ['kind' => 'free', 'minutes' => 3],
    ];

    /** @var list<Drill> */
    private static array $book = [];

    public static function setUpBeforeClass(): void
    {
        foreach (glob(dirname(__DIR__, 3).'/book/drills/*.json') ?: [] as $file) {
            array_push(
                self::$book,
                ...array_map(
                    DrillFactory::fromFields(...),
                    json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR)['drills'],
                ),
            );
        }
    }

    public function test_parts_add_up_and_everybody_works_as_often_as_anybody(): void
    {
        $this->limitTo(300)->forAll(
            Generators::choose(0, count(self::$book) - 1),
            Generators::choose(0, count(self::DOSES) - 1),
            Generators::elements(['each', 'alternating', 'both', 'weaker']),
            Generators::choose(1, 20),
        )
            ->then(function (int $drill, int $dose, string $sides, int $players): void {
                $block = self::evaluate([[self::$book[$drill], self::DOSES[$dose] + ['sides' => $sides]]], $players)->blocks[0];

                self::assertEqualsWithDelta(array_sum($block->partSeconds), $block->meanSeconds(), 1e-6);
                $seconds = array_sum(array_map(fn (Segment $segment): float => $segment->seconds, $block->segments));
                self::assertEqualsWithDelta($block->meanSeconds(), $seconds, 1e-6 + 0.001 * $seconds);
                self::assertNotEmpty($block->how);
                // Roll call, sheet and marks name a number by what it is: no two are the same.
                $owed = array_map(static fn (Owed $one): string => implode(' ', get_object_vars($one)), $block->owed);
                self::assertSame(array_unique($owed), $owed);
                $works = array_count_values(
                    array_merge(
                        [],
                        ...array_map(
                            fn (Segment $segment): array => $segment->kind === SegmentKind::Work ? $segment->working : [],
                            $block->segments,
                        ),
                    ),
                );
                self::assertCount($players, $works);
                // Who begins again works more often; everybody owes as many numbers.
                $owed = array_count_values(array_merge([], ...array_map(
                    fn (Segment $segment): array => array_column($segment->owed, 'playerId'),
                    $block->segments,
                )));
                $isCounted = self::$book[$drill]->rule !== null;
                self::assertCount($isCounted ? $players : 0, $owed);
                self::assertCount($isCounted ? 1 : 0, array_unique($owed));
                self::assertCount($players, $block->touches);
                foreach ($block->touches as $tally) {
                    self::assertTrue(is_finite($tally->contacts()) && $tally->contacts() >= 0);
                }
            });
    }

    public function test_everybody_has_a_seat_all_the_time_and_no_more_balls_are_had_than_there_are(): void
    {
        $this->limitTo(200)
            ->forAll(Generators::choose(0, count(self::$book) - 1), Generators::choose(1, 20), Generators::choose(0, 3))
            ->then(function (int $i, int $players, int $serving): void {
                $drill = self::$book[$i];
                $of = [[$drill, $drill->dose?->fields() ?? self::DOSES[0] + ['sides' => 'each']]];
                $block = self::evaluate($of, $players, $serving)->blocks[0];
                $balls = $block->kit->equipment['ball'] ?? 0;
                foreach ($block->segments as $segment) {
                    self::assertCount($players, $segment->seats, $segment->id);
                    $had = array_sum(array_map(static fn (Seat $seat): float => $seat->ball, $segment->seats));
                    self::assertLessThanOrEqual($balls + 1e-9, $had, "{$drill->slug} {$segment->id}");
                }
                foreach ($block->atWork as $id => $time) {
                    self::assertSame($id > $serving, $time->workSeconds() > 0.0, "{$drill->slug} {$id}");
                    self::assertSame($time->ballSeconds > 0.0, $block->touches[$id]->contacts() > 0.0, "{$drill->slug} {$id}");
                }
            });
    }

    /** Four in pairs and one with the helper; or two workers whom two serve all the time, and a pair: by hand from the drill's 585 s. */
    public function test_in_a_circuit_who_has_fewer_turns_begins_again_and_who_is_alone_waits(): void
    {
        $drill = array_values(array_filter(self::$book, static fn (Drill $one): bool => $one->slug === 'one-marker-one-server'))[0];
        $of = [[$drill, ['kind' => 'circuit', 'rounds' => 1, 'restSeconds' => 0]]];
        $times = static fn (int $players, int $serving, int $helpers): array => array_map(
            static fn (PlayerTime $time): array => [$time->ballSeconds, $time->servingSeconds, $time->waitingSeconds],
            self::evaluate($of, $players, $serving, $helpers)->blocks[0]->atWork,
        );
        $alone = [450.0, 0.0, 588.0];
        self::assertEquals([1 => $alone] + array_fill(2, 4, [450.0, 450.0, 3.0]), $times(5, 0, 1));
        self::assertEquals(
            [1 => [0.0, 900.0, 3.0], 2 => [0.0, 900.0, 3.0], 3 => [900.0, 0.0, 3.0], 4 => $alone],
            array_slice($times(7, 2, 0), 0, 4, true),
        );
    }

    public function test_footwork_is_work_without_a_ball(): void
    {
        $without = array_filter(self::$book, static fn (Drill $drill): bool => ! $drill->usesBall);
        self::assertSame([Family::Footwork], array_values(array_unique(array_column($without, 'family'), SORT_REGULAR)));
        foreach ($without as $drill) {
            $block = self::evaluate([[$drill, self::DOSES[0] + ['sides' => 'both']]], 3)->blocks[0];
            self::assertArrayNotHasKey('ball', $block->kit->equipment ?? [], $drill->slug);
            self::assertSame(60.0, $block->atWork[1]->workSeconds(), $drill->slug);
            self::assertStringStartsWith('Footwork: no ball', $block->how[0]);
        }
    }

    public function test_the_clock_of_a_plan_is_the_clock_of_its_blocks_and_the_finish_lies_in_order(): void
    {
        $this->limitTo(60)
            ->forAll(Generators::seq(Generators::choose(0, count(self::$book) - 1)), Generators::choose(1, 20))
            ->then(function (array $drills, int $players): void {
                $blocks = array_map(
                    fn (int $drill): array => [
                        self::$book[$drill],
                        self::$book[$drill]->dose?->fields() ?? self::DOSES[0] + ['sides' => 'each'],
                    ],
                    array_slice(array_values($drills), 0, 10),
                );
                $plan = self::evaluate($blocks, $players);

                self::assertEqualsWithDelta(
                    array_sum(array_map(fn (BlockEvaluation $block): float => $block->meanSeconds(), $plan->blocks)),
                    $plan->finish->mean(),
                    1.0 + 0.002 * $plan->finish->mean(),
                );
                self::assertLessThanOrEqual($plan->finish->at(0.8) + 1e-9, $plan->finish->at(0.5));
                foreach ($plan->touches as $id => $tally) {
                    $sum = array_reduce(
                        $plan->blocks,
                        fn (Tally $sum, BlockEvaluation $block): Tally => $sum->plus($block->touches[$id]),
                        Tally::zero(),
                    );
                    self::assertEqualsWithDelta($sum->contacts(), $tally->contacts(), 1e-6);
                }
            });
    }

    /** @param  list<array{Drill, array<string, mixed>}>  $blocks drill and dose */
    private static function evaluate(array $blocks, int $players, int $serving = 0, int $helpers = 0): PlanEvaluation
    {
        return PlanEvaluator::evaluate(
            array_map(
                fn (array $of, int $i): Block => Block::ofDrill(
                    "b{$i}",
                    $of[0],
                    ($of[1]['kind'] ?? '') === 'circuit' ? $of[0]->doseFrom($of[1]) : DoseKinds::standard()->read($of[1]),
                    Tempo::Steady,
                    null,
                ),
                $blocks,
                array_keys($blocks),
            ),
            PlanContext::of(
                array_map(
                    fn (int $i): PlanPlayer => new PlanPlayer(
                        $i,
                        [StrongFoot::Right, StrongFoot::Left, StrongFoot::Both][$i % 3],
                        $i <= $serving ? Availability::ServesOnly : Availability::Everything,
                    ),
                    range(1, $players),
                ),
                [],
                new ClockRules,
                helpers: max(0, $helpers),
            ),
        );
    }
}
