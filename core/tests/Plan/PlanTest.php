<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Clock\SetUp;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Dose\RaceDose;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Dose\TimedDose;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Layout\Kind\Box;
use FleetSparrow\Core\Layout\Kind\ShootingLine;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\OwnNumbers;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Touch\FootMark;
use PHPUnit\Framework\TestCase;

final class PlanTest extends TestCase
{
    use TestTrait;

    public function test_the_clock_of_one_block_worked_out_by_hand(): void
    {
        // Six players, boxes of their own (4 markers each) that lie before the start, 2 × 30 s with 20 s rest, a number after the last.
        $block = Block::ofDrill('a', Drills::soleTaps(), TimedDose::of(30.0, 2, 20.0, DoseSides::Alternating), Tempo::Steady, null);
        $evaluation = self::evaluate([$block], 6)->blocks[0];

        self::assertSame(
            ['setUp' => 0.0, 'explain' => 60.0, 'work' => 80.0, 'changeOver' => 0.0, 'write' => 12.0],
            $evaluation->partSeconds,
        );
        self::assertEqualsWithDelta(152.0, $evaluation->meanSeconds(), 1e-9);
        self::assertSame([6, 1, 24], [$evaluation->stations, $evaluation->turns, $evaluation->markers]);
        // 30 s ÷ 0.9 s a pair × 2 sets, one touch of each foot in a pair.
        self::assertEqualsWithDelta(66.667, $evaluation->touches[1]->contactsOf(FootMark::Left), 1e-3);
        self::assertEqualsWithDelta(66.667, $evaluation->touches[1]->contactsOf(FootMark::Right), 1e-3);
    }

    public function test_only_writing_that_does_not_fit_into_rest_and_work_takes_extra_time(): void
    {
        $block = Block::ofDrill('a', Drills::soleTaps(), TimedDose::of(30.0, 3, 20.0, DoseSides::Alternating), Tempo::Steady, null);

        // 14 numbers take 28 s: they are written in the rest and the next set, and cost 28 s after the last.
        self::assertSame(28.0, self::evaluate([$block], 14)->blocks[0]->partSeconds['write']);
        self::assertSame(20.0, self::evaluate([$block], 10)->blocks[0]->partSeconds['write']);
    }

    public function test_the_same_layout_costs_no_set_up_and_water_leaves_it_standing(): void
    {
        $drill = Block::ofDrill('a', Drills::soleTaps(), Drills::soleTaps()->dose, Tempo::Steady, null);
        $again = Block::ofDrill('b', Drills::soleTaps(), Drills::soleTaps()->dose, Tempo::Steady, null);
        $water = Block::ofMinutes('w', BlockKind::Water, 2.0);
        $game = Block::ofMinutes('g', BlockKind::Game, 10.0);

        self::assertSame(0.0, self::evaluate([$drill, $water, $again], 6)->blocks[2]->partSeconds['setUp']);
        self::assertSame(120.0, self::evaluate([$drill, $game, $again], 6)->blocks[2]->partSeconds['setUp']);
    }

    public function test_set_up_keeps_what_it_can_of_what_stands_there(): void
    {
        $box = fn (float $width): Box => Box::of(Length::ofMetres($width), Length::ofMetres(2.0));
        // Six boxes of 2 by 2, then four of 3 by 2: each keeps one short side, two markers; 24 on the ground, 16 wanted.
        $setUp = SetUp::of($box(3.0), 4, $box(2.0), 6);

        self::assertSame([8, 8, 0, 8, 16], [$setUp->kept, $setUp->moved(), $setUp->added(), $setUp->lifted(), $setUp->touched()]);
        self::assertSame('Set-up: of the markers 8 stay, 8 move, 8 are lifted; 16 touched at 5 s each.', $setUp->sentence(5.0));
        self::assertSame(
            [0, 16, 16],
            [
                SetUp::of($box(3.0), 4, null, 0)->kept,
                SetUp::of($box(3.0), 4, null, 0)->added(),
                SetUp::of($box(3.0), 4, null, 0)->touched(),
            ],
        );
        self::assertSame('Set-up: none, every marker stays.', SetUp::of($box(3.0), 4, $box(3.0), 4)->sentence(5.0));
        $line = fn (int $markers): Layout => LayoutKinds::standard()->read(
            ['kind' => 'line', 'markers' => $markers, 'spacing' => ['value' => 3, 'unit' => 'm']],
        );
        self::assertSame(
            'Set-up: of the markers 2 stay, 1 is laid; 1 touched at 5 s each.',
            SetUp::of($line(3), 1, $line(2), 1)->sentence(5.0),
        );
        $one = LayoutKinds::standard()->read(['kind' => 'reference', 'reach' => ['value' => 1.5, 'unit' => 'm'], 'serverMetres' => 0]);
        self::assertSame('Set-up: of the markers 1 is laid; 1 touched at 5 s each.', SetUp::of($one, 1, null, 0)->sentence(5.0));
    }

    public function test_adapting_what_stands_there_never_costs_more_than_lifting_all_and_laying_all(): void
    {
        $this->forAll(
            Generators::choose(1, 9),
            Generators::choose(1, 9),
            Generators::choose(1, 12),
            Generators::choose(1, 12),
        )->then(function (int $width, int $other, int $stations, int $before): void {
            $setUp = SetUp::of(
                Box::of(Length::ofMetres($width), Length::ofMetres(2.0)),
                $stations,
                Box::of(Length::ofMetres($other), Length::ofMetres(2.0)),
                $before,
            );
            self::assertLessThanOrEqual(4 * ($stations + $before), $setUp->touched());
            self::assertSame($setUp->touched(), $setUp->moved() + $setUp->added() + $setUp->lifted());
            self::assertSame($setUp->markers, $setUp->kept + $setUp->moved() + $setUp->added());
        });
    }

    public function test_stations_that_do_not_fit_say_how_many_do(): void
    {
        $block = Block::ofDrill('a', Drills::soleTaps(), Drills::soleTaps()->dose, Tempo::Steady, null);
        $warnings = fn (float $width, float $depth): array => PlanEvaluator::evaluate(
            [$block],
            PlanContext::of(
                self::players(6),
                [],
                new ClockRules,
                new KitOwned,
                new Area(Length::ofMetres($width), Length::ofMetres($depth), LengthUnit::Metre),
            ),
        )->blocks[0]->warnings;
        $said = fn (float $width, float $depth): array => array_map(
            fn (Warning $warning): array => [$warning->sentence, $warning->cure?->words],
            $warnings($width, $depth),
        );
        // Boxes of 2 yd are 1.8288 m; three in a row with a metre between take 7.4864 m, two rows 4.6576 m.
        self::assertSame([], $warnings(7.4864, 4.6576));
        self::assertSame([['Of 6 stations only 4 are sure to fit into 7.48 by 4.66 m.', 'Make it 4 stations']], $said(7.48, 4.6576));
        self::assertSame([['One station does not fit into 1.8 by 9 m. Make it smaller, or turn it by hand.', null]], $said(1.8, 9.0));
    }

    public function test_what_is_short_of_kit_is_said_with_what_would_do(): void
    {
        $line = ShootingLine::of(6, Length::ofMetres(1.0), Length::ofMetres(9.0), Length::ofMetres(4.0));
        // Two stations: two markers, six balls and a goal each.
        $kit = Kit::of($line, 2);

        self::assertSame([], (new KitOwned)->shortages($kit));
        self::assertSame([], (new KitOwned(4, 12, 2))->shortages($kit));
        self::assertSame(
            ['This needs 4 markers and the squad has 3. Use fewer stations, or bottles for the rest.'],
            (new KitOwned(3, 12, 2))->shortages($kit),
        );
        self::assertSame(
            [
                'This needs 12 balls and the squad has 11. Use fewer stations, or take turns with one.',
                'This needs 2 goals and the squad has 0. Two markers stand in for one.',
            ],
            (new KitOwned(4, 11, 0))->shortages($kit),
        );
    }

    public function test_a_known_drill_is_explained_faster(): void
    {
        $block = Block::ofDrill('a', Drills::soleTaps(), Drills::soleTaps()->dose, Tempo::Steady, null);
        $known = PlanEvaluator::evaluate([$block], PlanContext::of(self::players(6), ['sole-taps'], new ClockRules));

        self::assertSame(20.0, $known->blocks[0]->partSeconds['explain']);
    }

    public function test_thirty_stations_can_be_planned_and_one_more_cannot(): void
    {
        $of = fn (int $stations): Block => Block::ofDrill('a', Drills::soleTaps(), Drills::soleTaps()->dose, Tempo::Steady, $stations);
        self::assertSame([1, 30], [$of(1)->stations, $of(30)->stations]);
        foreach ([0, 31] as $stations) {
            try {
                $of($stations);
                self::fail("{$stations} stations were taken.");
            } catch (InvalidPlan $refusal) {
                self::assertSame('stations', $refusal->path());
            }
        }
    }

    public function test_too_few_stations_make_turns_waiting_and_a_warning(): void
    {
        $block = Block::ofDrill('a', Drills::soleTaps(), TimedDose::of(30.0, 2, 20.0, DoseSides::Alternating), Tempo::Steady, 3);
        $evaluation = self::evaluate([$block], 6)->blocks[0];

        self::assertSame(2, $evaluation->turns);
        // Two at a place: four goes of 30 s and three changes of 3 s. Each waits one go, before the first or after the last.
        // After it six numbers of 2 s, of which one go of 30 s is not left for any: 6 s are still being written.
        self::assertSame([129.0, 6.0], [$evaluation->partSeconds['work'], $evaluation->partSeconds['write']]);
        self::assertSame(39.0, $evaluation->longestWaitSeconds());
        self::assertSame([60.0, 0.0, 45.0], [
            $evaluation->times[1]->ballSeconds, $evaluation->times[1]->servingSeconds, $evaluation->times[1]->waitingSeconds,
        ]);
        self::assertSame([], $evaluation->warnings);
        // All six at one place: twelve goes and eleven changes; nine goes of ten they wait.
        $one = Block::ofDrill('a', Drills::soleTaps(), TimedDose::of(30.0, 2, 20.0, DoseSides::Alternating), Tempo::Steady, 1);
        self::assertSame(
            [['Somebody waits 5:05 in all, 2:47 at a time, and has the ball for 1:00.', 'Make it 2 stations']],
            array_map(
                fn (Warning $warning): array => [$warning->sentence, $warning->cure?->words],
                self::evaluate([$one], 6)->blocks[0]->warnings,
            ),
        );
    }

    public function test_one_foot_only_touches_only_that_foot(): void
    {
        $weaker = Block::ofDrill('a', Drills::pullBack(), TimedDose::of(30.0, 1, 0.0, DoseSides::Weaker), Tempo::Steady, null);
        $touches = PlanEvaluator::evaluate(
            [$weaker],
            PlanContext::of([new PlanPlayer(1, StrongFoot::Right), new PlanPlayer(2, StrongFoot::Left)], [], new ClockRules),
        )->touches;

        self::assertSame(0.0, $touches[1]->contactsOf(FootMark::Right));
        self::assertEqualsWithDelta(37.5, $touches[1]->contactsOf(FootMark::Left), 1e-9);
        self::assertSame(0.0, $touches[2]->contactsOf(FootMark::Left));
    }

    public function test_tempo_stretches_reps_and_thins_touches(): void
    {
        $at = fn (Tempo $tempo): float => self::evaluate(
            [Block::ofDrill('a', Drills::soleTaps(), Drills::soleTaps()->dose, $tempo, null)],
            1,
        )->touches[1]->contacts();

        self::assertEqualsWithDelta(1.6, $at(Tempo::Steady) / $at(Tempo::Learn), 1e-9);
        self::assertEqualsWithDelta(0.8, $at(Tempo::Steady) / $at(Tempo::Match), 1e-9);
    }

    public function test_segments_lay_the_block_out_and_last_as_long_as_it(): void
    {
        $this->forAll(
            Generators::choose(1, 20),
            Generators::choose(1, 10),
            Generators::choose(1, 4),
            Generators::choose(0, 60),
            Generators::elements(DoseSides::cases()),
        )
            ->then(function (int $players, int $stations, int $sets, int $rest, DoseSides $sides): void {
                foreach ([
                    TimedDose::of(30.0, $sets, $rest, $sides),
                    RaceDose::of(2, $sets, $rest, $sides),
                    QuotaDose::of($sets, $rest, $sides),
                ] as $dose) {
                    $evaluation = self::evaluate(
                        [Block::ofDrill('a', Drills::soleTaps(), $dose, Tempo::Steady, $stations)],
                        $players,
                    )->blocks[0];
                    $seconds = array_sum(array_map(fn (Segment $segment): float => $segment->seconds, $evaluation->segments));
                    self::assertEqualsWithDelta($evaluation->meanSeconds(), $seconds, 1e-6);
                    $ids = array_map(fn (Segment $segment): string => $segment->id, $evaluation->segments);
                    self::assertSame($ids, array_unique($ids));
                    foreach ($evaluation->segments as $segment) {
                        self::assertGreaterThan(0.0, $segment->seconds);
                        self::assertSame(
                            $segment->endsByClock,
                            in_array($segment->kind, [SegmentKind::Rest, SegmentKind::Change], true)
                                || ($segment->kind === SegmentKind::Work && $dose->kind() === 'timed'),
                        );
                    }
                }
            });
    }

    public function test_touches_on_the_segments_add_up_to_the_player(): void
    {
        $evaluation = self::evaluate(
            [Block::ofDrill('a', Drills::pullBack(), TimedDose::of(30.0, 3, 10.0, DoseSides::Each), Tempo::Steady, null)],
            4,
        )->blocks[0];
        $left = array_sum(array_map(fn (Segment $segment): float => $segment->leftTouches, $evaluation->segments));

        self::assertEqualsWithDelta($evaluation->touches[1]->contactsOf(FootMark::Left), $left, 1e-9);
    }

    public function test_own_tries_move_the_quota(): void
    {
        $block = Block::ofDrill('a', Drills::soleTaps(), QuotaDose::of(10, 0.0, DoseSides::Right), Tempo::Steady, null);
        $mean = fn (int $made, int $missed): float => PlanEvaluator::evaluate(
            [$block],
            PlanContext::of(
                [new PlanPlayer(1, StrongFoot::Right, numbers: ['sole-taps' => OwnNumbers::of($made, $missed, 0.0, 0)])],
                [],
                new ClockRules,
            ),
        )->blocks[0]->partSeconds['work'];

        self::assertGreaterThan($mean(0, 0), $mean(5, 30));
        self::assertLessThan($mean(0, 0), $mean(60, 1));
    }

    public function test_refuses_nobody_and_a_crowd(): void
    {
        self::assertCount(1, PlanContext::of(self::players(1), [], new ClockRules)->players);
        self::assertCount(40, PlanContext::of(self::players(40), [], new ClockRules)->players);
        foreach ([[0, 'plan.nobody'], [41, 'plan.too-many'], [200, 'plan.too-many']] as [$count, $reason]) {
            try {
                PlanContext::of($count === 0 ? [] : self::players($count), [], new ClockRules);
                self::fail("{$count} players were taken.");
            } catch (InvalidPlan $refusal) {
                self::assertSame($reason, $refusal->reason());
            }
        }
    }

    public function test_refuses_blocks_that_cannot_be(): void
    {
        foreach ([
            [fn () => Block::ofMinutes('a', BlockKind::Water, 0.4), 'minutes'],
            [fn () => Block::ofMinutes('a', BlockKind::Water, 61.0), 'minutes'],
            [fn () => Block::ofMinutes('a', BlockKind::Drill, 5.0), 'kind'],
            [fn () => Block::ofDrill('a', Drills::soleTaps(), Drills::soleTaps()->dose, Tempo::Steady, 0), 'stations'],
            [fn () => Block::ofDrill('a', Drills::soleTaps(), Drills::soleTaps()->dose, Tempo::Steady, 31), 'stations'],
        ] as [$make, $path]) {
            try {
                $make();
                self::fail('The block was taken.');
            } catch (InvalidPlan $refusal) {
                self::assertSame($path, $refusal->path());
            }
        }
    }

    public function test_an_empty_session_is_over_at_once(): void
    {
        $evaluation = self::evaluate([], 6);

        self::assertSame(0.0, $evaluation->finish->at(0.8));
        self::assertSame(1.0, $evaluation->finish->shareWithin(0.0));
    }

    /** @param  list<Block>  $blocks */
    private static function evaluate(array $blocks, int $players): PlanEvaluation
    {
        return PlanEvaluator::evaluate($blocks, PlanContext::of(self::players($players), [], new ClockRules));
    }

    /** @return list<PlanPlayer> */
    private static function players(int $count): array
    {
        return array_map(fn (int $i): PlanPlayer => new PlanPlayer($i, StrongFoot::Right), range(1, $count));
    }
}
