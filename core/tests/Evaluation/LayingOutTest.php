<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Evaluation;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Clock\LaidWhen;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\CureKind;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\SegmentKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Who lays what out when, what has to be told, and how long everybody stands there meanwhile. Six players, 2 × 30 s with 20 s rest. */
final class LayingOutTest extends TestCase
{
    private const BOX = ['kind' => 'box', 'width' => ['value' => 2, 'unit' => 'm'], 'depth' => ['value' => 2, 'unit' => 'm']];

    private const LINE = ['kind' => 'line', 'markers' => 3, 'spacing' => ['value' => 5, 'unit' => 'm']];

    private const SPOT = ['kind' => 'on-the-spot', 'apart' => ['value' => 2, 'unit' => 'm']];

    public function test_the_first_layout_lies_before_the_start_and_the_next_one_costs_time(): void
    {
        // Six boxes of four markers, then six lines of three: one marker of each stays, so 24 − 6 are touched.
        $blocks = [self::block('a', self::BOX), self::block('b', self::LINE)];
        self::assertSame([[LaidWhen::Before, 0.0], [LaidWhen::Between, 90.0]], self::laid($blocks));
        self::assertSame([[LaidWhen::Between, 120.0], [LaidWhen::Between, 90.0]], self::laid($blocks, isLaidBefore: false));
        // On the spot nothing is laid, and the first layout lies there all the same; a game takes the ground.
        self::assertSame(
            [[LaidWhen::Between, 0.0], [LaidWhen::Before, 0.0], [LaidWhen::Between, 0.0], [LaidWhen::Between, 0.0]],
            self::laid([
                self::block('a', self::SPOT), self::block('b', self::BOX), self::block('c', self::SPOT), self::block('d', self::BOX),
            ]),
        );
        $game = Block::ofMinutes('g', BlockKind::Game, 5.0);
        self::assertSame([null, [LaidWhen::Between, 120.0]], self::laid([$game, self::block('a', self::BOX)]));
    }

    /** @return iterable<string, array{array<string, mixed>, list<array{LaidWhen, float}|null>}> */
    public static function helped(): iterable
    {
        $beside = [[LaidWhen::Before, 0.0], [LaidWhen::Meanwhile, 0.0]];
        $nobody = [[LaidWhen::Before, 0.0], [LaidWhen::Between, 90.0]];
        yield 'nobody helps' => [[], $nobody];
        // Eighteen markers are 90 s; explaining, work and writing before it 60 + 80 + 12.
        yield 'a helper lays it beside' => [['helpers' => 1], $beside];
        yield 'the helper counts the ones before' => [['helpers' => 1, 'first' => ['needsCounter' => true]], $beside];
        // Two boxes, one a grown-up: two of eighteen stay, and nobody is free to lay the other sixteen.
        yield 'coach and helper serve' => [
            ['helpers' => 1, 'first' => ['coachServes' => true, 'service' => 'passed']],
            [[LaidWhen::Before, 0.0], [LaidWhen::Between, 80.0]],
        ];
        yield 'no markers for both' => [['helpers' => 1, 'markers' => 41], $nobody];
        yield 'just markers for both' => [['helpers' => 1, 'markers' => 42], $beside];
        // Boxes of 2 × 2 m with a metre round them: fifteen fit into 14 × 8 m; lines of 10 m three: six of each are more than there is.
        yield 'no room for both' => [['helpers' => 1, 'area' => [14, 8]], $nobody];
    }

    /**
     * @param  array<string, mixed>  $with
     * @param  list<array{LaidWhen, float}|null>  $expected
     */
    #[DataProvider('helped')]
    public function test_a_helper_lays_the_next_one_while_the_others_work(array $with, array $expected): void
    {
        $blocks = [self::block('a', self::BOX, $with['first'] ?? []), self::block('b', self::LINE)];
        self::assertSame($expected, self::laid($blocks, $with['helpers'] ?? 0, $with['markers'] ?? null, $with['area'] ?? null));
    }

    public function test_in_a_break_a_helper_changes_what_stands_and_what_is_left_over_costs_time(): void
    {
        $blocks = fn (float $minutes): array => [
            self::block('a', self::BOX), Block::ofMinutes('w', BlockKind::Water, $minutes), self::block('b', self::LINE),
        ];
        // No markers for both, so only the minute of water helps: 90 − 60.
        [$when, $seconds] = self::laid($blocks(1.0), helpers: 1, markers: 24)[2] ?? self::fail();
        self::assertSame(LaidWhen::Meanwhile, $when);
        self::assertEqualsWithDelta(30.0, $seconds, 1e-9);
        self::assertSame([LaidWhen::Meanwhile, 0.0], self::laid($blocks(1.5), helpers: 1, markers: 24)[2]);
        self::assertSame([LaidWhen::Between, 90.0], self::laid($blocks(1.5))[2]);
        $worked = self::evaluate($blocks(1.0), helpers: 1, markers: 24)->blocks[2];
        self::assertStringEndsWith('A helper begins meanwhile; 30 s are left over.', $worked->how[0]);
        self::assertSame(SegmentKind::SetUp, $worked->segments[0]->kind);
        self::assertNull($worked->segments[0]->plainSeconds, 'it teaches nothing of how quick the coach is');
        // Both at once are in the bag.
        $kit = self::evaluate([self::block('a', self::BOX), self::block('b', self::LINE)], helpers: 1)->kit;
        self::assertSame(24 + 18, array_sum($kit->markersByColour));
    }

    public function test_what_has_to_be_told_follows_from_what_went_before(): void
    {
        $told = fn (Block ...$blocks): array => array_map(
            fn (BlockEvaluation $one): float => $one->partSeconds['explain'] ?? 0.0,
            self::evaluate(array_values($blocks), known: ['known'])->blocks,
        );
        $spot = fn (string $slug, string $sides = 'alternating', string $kind = 'timed'): Block => self::block(
            $slug,
            self::SPOT,
            dose: ($kind === 'timed' ? ['workSeconds' => 30, 'sets' => 2] : ['reps' => 5, 'sets' => 2])
                + ['kind' => $kind, 'restSeconds' => 20, 'sides' => $sides],
        );
        // New, a new move where all stays, a known one there, the same again, its other side, and a new way of counting it.
        self::assertSame(
            [60.0, 20.0, 10.0, 10.0, 5.0, 10.0],
            $told($spot('a'), $spot('b'), $spot('known'), $spot('known'), $spot('known', 'left'), $spot('known', 'left', 'reps')),
        );
        // On another ground a known one takes its 20 s, and so does what was done earlier today.
        self::assertSame([60.0, 20.0, 20.0], $told($spot('a'), self::block('known', self::BOX), $spot('a')));
        // Water does not make anybody forget.
        self::assertSame([60.0, 0.0, 10.0], $told($spot('a'), Block::ofMinutes('w', BlockKind::Water, 2.0), $spot('a')));
    }

    public function test_writing_down_and_laying_out_are_one_wait_and_explaining_ends_it(): void
    {
        $plan = self::evaluate([self::block('a', self::BOX), self::block('b', self::LINE)]);
        // 12 s of numbers after the first, then 90 s of laying out; the second begins with the 90 s.
        self::assertSame([12.0, 90.0], array_map(fn (BlockEvaluation $one): float => $one->longestWaitSeconds(), $plan->blocks));
        self::assertSame(102.0, $plan->times[1]->longestWaitSeconds);
        self::assertSame(12.0 + 90.0 + 12.0, $plan->times[1]->waitingSeconds);
        self::assertSame(SegmentKind::SetUp, $plan->blocks[1]->segments[0]->kind);
        $warnings = array_values(array_filter($plan->blocks[1]->warnings, fn ($one): bool => $one->code === 'wait'));
        self::assertSame('Laying out takes 1:30, and everybody waits.', $warnings[0]->sentence ?? null);
        self::assertSame(CureKind::Helper, $warnings[0]->cure?->kind);
    }

    public function test_what_is_done_in_a_block_makes_its_laying_out_no_shorter(): void
    {
        // A helper who is there already has no time for it before the first block; five boxes are 4 · 5 · 5 s.
        $boxes = self::block('a', self::BOX)->withStations(5);
        $warned = self::evaluate([$boxes], helpers: 1, isLaidBefore: false)->blocks[0]->warnings;
        $waits = array_values(array_filter($warned, fn (Warning $one): bool => $one->code === 'wait'));
        self::assertSame('Laying out takes 1:40, and everybody waits. Fewer stations are laid out sooner.', $waits[0]->sentence ?? null);
        self::assertNull($waits[0]->cure ?? null);
        // One station cannot be fewer.
        $line = self::block('a', ['markers' => 50] + self::LINE)->withStations(1);
        $warned = self::evaluate([$line], helpers: 1, isLaidBefore: false)->blocks[0]->warnings;
        self::assertSame(['Laying out takes 4:10, and everybody waits.'], array_map(fn (Warning $one): string => $one->sentence, $warned));
    }

    /**
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $organisation
     * @param  array<string, mixed>|null  $dose
     */
    private static function block(string $slug, array $layout, array $organisation = [], ?array $dose = null): Block
    {
        $dose ??= ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 20, 'sides' => 'alternating'];
        $drill = self::drill($slug, $layout, $organisation);

        return Block::ofDrill(uniqid(), $drill, $drill->doseFrom($dose), Tempo::Steady, null);
    }

    /**
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $organisation
     */
    private static function drill(string $slug, array $layout, array $organisation): Drill
    {
        return DrillFactory::fromFields([
            'slug' => $slug,
            'layout' => $layout,
            'organisation' => $organisation + ['workers' => 1, 'playerServers' => 0, 'service' => 'none'],
        ] + Drills::fields());
    }

    /**
     * @param  list<Block>  $blocks
     * @param  array{int, int}|null  $area  metres
     * @return list<array{LaidWhen, float}|null> when, and seconds of the session
     */
    private static function laid(
        array $blocks,
        int $helpers = 0,
        ?int $markers = null,
        ?array $area = null,
        bool $isLaidBefore = true,
    ): array {
        return array_map(
            fn (BlockEvaluation $one): ?array => $one->laying === null ? null : [$one->laying->when, $one->partSeconds['setUp']],
            self::evaluate($blocks, $helpers, $markers, $area, $isLaidBefore)->blocks,
        );
    }

    /**
     * @param  list<Block>  $blocks
     * @param  array{int, int}|null  $area
     * @param  list<string>  $known
     */
    private static function evaluate(
        array $blocks,
        int $helpers = 0,
        ?int $markers = null,
        ?array $area = null,
        bool $isLaidBefore = true,
        array $known = [],
    ): PlanEvaluation {
        return PlanEvaluator::evaluate($blocks, PlanContext::of(
            players: array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, 6)),
            knownDrills: $known,
            rules: new ClockRules,
            kit: new KitOwned($markers),
            area: $area === null ? null : new Area(Length::ofMetres($area[0]), Length::ofMetres($area[1]), LengthUnit::Metre),
            helpers: max(0, $helpers),
            isLaidBefore: $isLaidBefore,
        ));
    }
}
