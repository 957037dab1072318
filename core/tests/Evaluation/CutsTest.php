<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Evaluation;

use FleetSparrow\Core\Advice\Cut;
use FleetSparrow\Core\Advice\CutKind;
use FleetSparrow\Core\Caution\HeadingLimit;
use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\OwnNumbers;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Earlier;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use PHPUnit\Framework\TestCase;

/** What could go, and what a coach is told before the whistle. */
final class CutsTest extends TestCase
{
    public function test_nothing_is_proposed_for_a_session_that_fits(): void
    {
        $blocks = [self::taps('a', 2, 20), self::taps('b', 2, 20)];

        self::assertSame([], self::evaluate($blocks, 3600.0)->cuts->cuts);
        self::assertSame([], self::evaluate($blocks, null)->cuts->cuts);
    }

    public function test_rests_go_first_then_sets_then_blocks_and_the_warm_up_and_water_stay(): void
    {
        $plan = self::evaluate(
            [
                self::taps('a', 3, 30),
                Block::ofMinutes('w', BlockKind::Water, 2.0),
                self::taps('b', 4, 30),
                Block::ofMinutes('t', BlockKind::Talk, 3.0),
            ],
            300.0,
        );
        $cuts = array_map(fn (Cut $cut): array => [$cut->blockId, $cut->kind->value], $plan->cuts->cuts);

        // Two thirds of 30 s are 20: 3 rests of b save 30 s, 2 rests of a 20.
        self::assertSame([['b', 'rest'], ['a', 'rest'], ['a', 'set'], ['b', 'set'], ['t', 'block'], ['b', 'block']], $cuts);
        self::assertSame([30.0, 20.0], [$plan->cuts->cuts[0]->freedSeconds, $plan->cuts->cuts[1]->freedSeconds]);
        self::assertSame('Rest 20 s in place of 30 in Sole taps', $plan->cuts->cuts[0]->words);
        self::assertSame([0.0, 0.0], [$plan->cuts->cuts[0]->touchesLost, $plan->cuts->cuts[1]->touchesLost]);
    }

    public function test_what_a_cut_frees_is_what_the_session_is_shorter_by(): void
    {
        $blocks = [self::taps('a', 3, 30), self::other('b', 3, 45), self::taps('c', 4, 20)];
        $plan = self::evaluate($blocks, 60.0);
        self::assertNotEmpty($plan->cuts->cuts);
        foreach ($plan->cuts->cuts as $cut) {
            $dose = $cut->dose;
            $then = self::evaluate(
                array_values(
                    array_filter(
                        array_map(
                            fn (Block $block): ?Block => $block->id !== $cut->blockId
                                ? $block
                                : ($dose === null ? null : $block->withDose($dose)),
                            $blocks,
                        ),
                    ),
                ),
                null,
            );
            self::assertEqualsWithDelta($cut->freedSeconds, $plan->finish->mean() - $then->finish->mean(), 0.1, $cut->words);
            self::assertEqualsWithDelta(
                $cut->touchesLost,
                $plan->touches[1]->contacts() - $then->touches[1]->contacts(),
                1e-6,
                $cut->words,
            );
        }
    }

    public function test_all_that_is_proposed_brings_the_session_into_its_slot_or_it_says_what_is_too_much(): void
    {
        $said = [];
        foreach (range(1, 30) as $seed) {
            mt_srand($seed);
            $blocks = [];
            foreach (range(1, mt_rand(2, 7)) as $i) {
                $block = mt_rand(0, 1) === 0
                    ? self::taps("b{$i}", mt_rand(1, 4), 15 * mt_rand(0, 4))
                    : self::other("b{$i}", mt_rand(1, 4), 15 * mt_rand(0, 4));
                // Every other session has a round of stations in it.
                $blocks[] = $seed % 2 === 0 && $i >= 2 && $i <= 4 && $block->drill !== null && $block->dose !== null
                    ? Block::ofDrill($block->id, $block->drill, $block->dose, Tempo::Steady, null, together: 'corners')
                    : $block;
            }
            $long = self::evaluate($blocks, null)->finish->at(0.8);
            $slot = $long * mt_rand(10, 97) / 100;
            $plan = self::evaluate($blocks, $slot);
            $then = $blocks;
            foreach ($plan->cuts->cuts as $cut) {
                $then = self::shortened($then, $cut);
            }
            $over = self::evaluate($then, null)->finish->at(0.8) - $slot;
            self::assertEqualsWithDelta(max(0.0, $over), $plan->cuts->stillOverSeconds, 2.0, "seed {$seed}");
            $said[] = $plan->cuts->stillOverSeconds > 0.0;
        }
        // Both happen.
        self::assertCount(2, array_unique($said));
    }

    public function test_what_was_tried_for_an_earlier_plan_is_what_would_be_tried_for_this_one(): void
    {
        $drills = array_values(array_filter(
            array_map(DrillFactory::fromFields(...), BookTest::fields()),
            fn (Drill $drill): bool => in_array($drill->slug, self::UNLIKE, true),
        ));
        self::assertCount(count(self::UNLIKE), $drills);
        [$kept, $known, $asked] = [[], 0, 0];
        foreach (range(1, 5) as $seed) {
            mt_srand($seed);
            [$people, $helpers, $isLaid, $past] = [7, 0, true, new SeasonPast];
            $blocks = [];
            foreach (range(1, 5) as $i) {
                $blocks[] = self::someBlock("b{$i}", $drills);
            }
            for ($change = 0; $change < 12; $change++) {
                $at = mt_rand(0, count($blocks) - 1);
                match (mt_rand(0, 8)) {
                    0, 1, 2 => $blocks[$at] = self::someBlock($blocks[$at]->id, $drills),
                    3 => array_splice($blocks, $at, 0, [self::someBlock("c{$change}", $drills)]),
                    4 => array_splice($blocks, $at, count($blocks) > 3 ? 1 : 0),
                    5 => $people = mt_rand(2, 9),
                    6 => $helpers = mt_rand(0, 2),
                    7 => $isLaid = ! $isLaid,
                    // Others were together last time.
                    8 => $past = new SeasonPast(
                        [1 => array_chunk(self::shuffled(range(1, 9)), 2)],
                        array_combine(range(1, 9), self::shuffled(range(0, 8))),
                    ),
                };
                $evaluate = fn (Memo $memo, ?Cut $cut = null): PlanEvaluation => PlanEvaluator::evaluate(
                    $cut === null ? $blocks : self::shortened($blocks, $cut),
                    PlanContext::of(
                        players: array_map(self::unlike(...), range(1, $people)),
                        knownDrills: ['sole-taps'],
                        rules: new ClockRules,
                        helpers: $helpers,
                        past: $past,
                        memo: $memo,
                        isLaidBefore: $isLaid,
                    ),
                    600.0,
                );
                $memo = new Memo($kept);
                $plain = $evaluate(new Memo);
                $fresh = $plain->cuts;
                foreach ($change % 6 === 0 ? $fresh->cuts : [] as $cut) {
                    $shorter = $evaluate(new Memo($kept), $cut);
                    // Without a block others are drawn together afterwards: a few seconds for people unlike each other.
                    self::assertEqualsWithDelta(self::mean($plain) - self::mean($shorter), $cut->freedSeconds, 8.0, $cut->words);
                }
                self::assertEqualsWithDelta($fresh, $evaluate($memo)->cuts, 1e-6, "seed {$seed}, change {$change}");
                $cuts = preg_grep('/\Acut /', array_keys($memo->asked())) ?: [];
                $asked += count($cuts);
                $known += count(array_intersect_key(array_flip($cuts), $kept));
                $kept = $memo->asked() + $kept;
            }
        }
        // Most of a plan is as it was before a change.
        self::assertGreaterThan(0.15 * $asked, $known);
    }

    /** With a ground of their own, on each other's, on none, in pairs, by turns, and done by heart. */
    private const UNLIKE = [
        'sole-taps', 'inside-taps', 'box-free-dribble', 'zigzag-in-out', 'far-foot-open', 'receive-across-pair', 'ladder-steps',
        'drag-back-turn', 'sixteen-passes',
    ];

    private static function mean(PlanEvaluation $plan): float
    {
        return array_sum(array_map(fn (BlockEvaluation $one): float => $one->meanSeconds(), $plan->blocks));
    }

    /**
     * @param  non-empty-list<int>  $numbers
     * @return non-empty-list<int>
     */
    private static function shuffled(array $numbers): array
    {
        usort($numbers, fn (int $one, int $other): int => mt_rand(0, 1) * 2 - 1);

        return $numbers;
    }

    /** Each at a pace of their own: who is with whom matters. */
    private static function unlike(int $id): PlanPlayer
    {
        $own = OwnNumbers::of(5 + 3 * $id, 4 * $id, 1.0 + 0.4 * $id, 6);

        return new PlanPlayer($id, StrongFoot::Right, numbers: array_fill_keys(self::UNLIKE, $own));
    }

    /** @param  non-empty-list<Drill>  $drills */
    private static function someBlock(string $id, array $drills): Block
    {
        $drill = $drills[mt_rand(0, count($drills) - 1)];
        $dose = $drill->dose ?? self::fail();
        $fields = $dose->fields();
        $changed = array_intersect_key(['restSeconds' => 5 * mt_rand(0, 9), 'sets' => mt_rand(1, 4)], $fields);

        return match (mt_rand(0, 9)) {
            0 => Block::ofMinutes($id, BlockKind::Water, 2.0),
            1 => Block::ofMinutes($id, BlockKind::Game, 6.0),
            2, 3, 4 => Block::ofDrill($id, $drill, $dose, Tempo::Steady, null, together: 'corners'),
            default => Block::ofDrill($id, $drill, $drill->doseFrom($changed + $fields), Tempo::Steady, null),
        };
    }

    /**
     * As a coach presses one after the other.
     *
     * @param  list<Block>  $blocks
     * @return list<Block>
     */
    private static function shortened(array $blocks, Cut $cut): array
    {
        $left = [];
        foreach ($blocks as $block) {
            if ($block->id !== $cut->blockId) {
                $left[] = $block;
            } elseif ($cut->dose !== null && $block->dose !== null && $block->drill !== null) {
                $field = $cut->kind === CutKind::Rest ? 'restSeconds' : 'sets';
                $left[] = $block->withDose($block->drill->doseFrom([$field => $cut->dose->fields()[$field] ?? 0] + $block->dose->fields()));
            }
        }

        return $left;
    }

    public function test_five_are_offered_though_fewer_would_do_and_more_only_while_it_is_over(): void
    {
        $blocks = array_map(fn (int $i): Block => self::taps("b{$i}", 3, 30), range(1, 8));
        $long = self::evaluate($blocks, null)->finish->at(0.8);
        $kinds = fn (float $over): array => array_map(
            fn (Cut $cut): string => $cut->kind->value,
            self::evaluate($blocks, $long - $over)->cuts->cuts,
        );

        // Of two rests of 30 s ten go: 20 s a block.
        self::assertSame(array_fill(0, 5, 'rest'), $kinds(1.0));
        self::assertSame(array_fill(0, 5, 'rest'), $kinds(90.0));
        self::assertSame(array_fill(0, 6, 'rest'), $kinds(110.0));
        self::assertSame([...array_fill(0, 8, 'rest'), 'set'], $kinds(165.0));
        // Twelve are the most, and what they leave is said.
        self::assertSame([...array_fill(0, 8, 'rest'), ...array_fill(0, 4, 'set')], $kinds($long - 60.0));
        self::assertGreaterThan(0.0, self::evaluate($blocks, 60.0)->cuts->stillOverSeconds);
    }

    public function test_where_nothing_can_go_it_says_how_much_is_too_much(): void
    {
        $plan = self::evaluate([self::taps('a', 1, 0)], 60.0);
        self::assertSame([], $plan->cuts->cuts);
        self::assertEqualsWithDelta($plan->finish->at(0.8) - 60.0, $plan->cuts->stillOverSeconds, 1e-6);
    }

    public function test_a_round_is_shorter_by_its_longest_station_and_by_one_station_fewer(): void
    {
        $at = fn (string $id, int $sets): Block => Block::ofDrill(
            $id,
            Drills::soleTaps(),
            Drills::soleTaps()->doseFrom(
                ['kind' => 'timed', 'workSeconds' => 30, 'sets' => $sets, 'restSeconds' => 0, 'sides' => 'alternating'],
            ),
            Tempo::Steady,
            null,
            together: 'corners',
        );
        $cuts = self::evaluate([self::taps('a', 1, 0), $at('b', 1), $at('c', 3)], 60.0)->cuts->cuts;
        // Two turns of 90 s become two of 60: only the longest station's sets matter.
        self::assertSame(['c', 60.0], [$cuts[0]->blockId, $cuts[0]->freedSeconds]);
        self::assertSame([CutKind::Set, CutKind::Block, CutKind::Block], array_map(fn (Cut $cut): CutKind => $cut->kind, $cuts));
    }

    public function test_a_cut_that_tips_the_balance_of_the_feet_says_so(): void
    {
        $one = fn (string $id, string $sides, int $seconds): Block => self::block(
            $id,
            'a.sole/back a.in/out',
            ['kind' => 'timed', 'workSeconds' => $seconds, 'sets' => 1, 'restSeconds' => 0, 'sides' => $sides],
        );
        $players = array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), [1, 2, 3]);
        $words = function (Block ...$blocks) use ($players): array {
            $context = PlanContext::of($players, [], new ClockRules);
            $cuts = PlanEvaluator::evaluate(array_values($blocks), $context, 60.0)->cuts->cuts;
            $words = array_combine(array_column($cuts, 'blockId'), array_column($cuts, 'words'));
            ksort($words);

            return $words;
        };

        // All at one pace: 80 s of the left against 100 of the right; 40 against 100; 80 against 40; 60 against 80.
        self::assertSame(
            [
                'both' => 'Leave out Sole taps',
                'left' => 'Leave out Sole taps, which leaves the lesser foot 29% of the touches',
                'right' => 'Leave out Sole taps, which leaves the lesser foot 33% of the touches',
            ],
            $words($one('a', 'each', 20), $one('right', 'right', 60), $one('left', 'left', 40), $one('both', 'each', 20)),
        );
        // 40 against 140: what was not in balance is not tipped.
        self::assertSame(
            ['both' => 'Leave out Sole taps', 'right' => 'Leave out Sole taps'],
            $words($one('a', 'each', 20), $one('right', 'right', 100), $one('both', 'each', 20)),
        );
    }

    public function test_both_feet_lose_a_set_together(): void
    {
        $cut = self::evaluate(
            [
                self::block(
                    'a',
                    'a.sole/back a.in/out',
                    ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 0, 'sides' => 'each'],
                ),
            ],
            30.0,
        )->cuts->cuts[0];

        self::assertSame('One set fewer on each foot of Sole taps', $cut->words);
        self::assertSame(60.0, $cut->freedSeconds);
    }

    public function test_twenty_minutes_of_work_without_water_are_too_long(): void
    {
        $game = fn (string $id, float $minutes): Block => Block::ofMinutes($id, BlockKind::Game, $minutes);
        $played = fn (array $blocks): PlanEvaluation => PlanEvaluator::evaluate(
            $blocks,
            PlanContext::of([new PlanPlayer(1, StrongFoot::Right), new PlanPlayer(2, StrongFoot::Left)], [], new ClockRules),
        );
        $said = fn (array $blocks): array => array_map(
            fn ($block): array => array_map(fn (Warning $warning): string => $warning->sentence, $block->warnings),
            $played($blocks)->blocks,
        );

        self::assertSame([[], []], $said([$game('a', 10.0), $game('b', 10.0)]));
        self::assertSame([[], ['21 minutes of work without water by the end of it.']], $said([$game('a', 10.0), $game('b', 11.0)]));
        self::assertSame([[], [], []], $said([$game('a', 15.0), Block::ofMinutes('w', BlockKind::Water, 2.0), $game('b', 15.0)]));
        self::assertSame('water', $played([$game('a', 10.0), $game('b', 11.0)])->blocks[1]->warnings[0]->cure?->kind->value);
    }

    public function test_headers_are_held_against_the_limit_of_the_age_group_on_both_sides_of_it(): void
    {
        $headers = fn (int $reps, HeadingLimit $limit): array => array_map(
            fn (Warning $warning): ?string => $warning->cure?->kind->value,
            self::evaluate(
                [
                    self::block(
                        'h',
                        '*throw -.head^!pass *catch',
                        ['kind' => 'reps', 'reps' => $reps, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'both'],
                    ),
                ],
                null,
                $limit,
            )->blocks[0]->warnings,
        );
        $limit = fn (string $age): HeadingLimit => HeadingProfile::TheFa2020->limitFor(AgeGroup::of($age));

        // The FA 2020, from memory: none at U11 and below; U12 and U13 five in a session.
        self::assertSame(['take-out'], $headers(1, $limit('U11')));
        self::assertSame([], $headers(5, $limit('U12')));
        self::assertSame(['take-out'], $headers(6, $limit('U12')));
        self::assertSame([], $headers(10, $limit('U15')));
        self::assertSame(['take-out'], $headers(11, $limit('U15')));
        // As few as possible: said whenever there is one.
        self::assertSame(['take-out'], $headers(1, $limit('U18')));
    }

    public function test_headers_name_who_is_asked_for_most(): void
    {
        $players = [new PlanPlayer(1, StrongFoot::Right), new PlanPlayer(2, StrongFoot::Right), new PlanPlayer(3, StrongFoot::Right)];
        $before = fn (float $headers): array => [new Earlier(3, $headers)];
        $context = PlanContext::of(
            $players,
            [],
            new ClockRules,
            heading: HeadingProfile::UsSoccer2016->limitFor(AgeGroup::of('U13')),
            past: new SeasonPast(headers: [1 => $before(12.0), 2 => $before(14.0), 3 => $before(13.0)]),
        );
        $dose = ['kind' => 'reps', 'reps' => 4, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'both'];
        $block = PlanEvaluator::evaluate([self::block('h', '*throw -.head^!pass *catch', $dose)], $context)->blocks[0];
        $said = array_map(fn (Warning $one): string => $one->sentence, $block->warnings);
        self::assertStringContainsString('after 14 in 1 session of the last 7 days', implode(' ', $said));
    }

    /** @param  list<Block>  $blocks */
    private static function evaluate(array $blocks, ?float $slotSeconds, ?HeadingLimit $heading = null): PlanEvaluation
    {
        return PlanEvaluator::evaluate(
            $blocks,
            PlanContext::of([new PlanPlayer(1, StrongFoot::Right)], [], new ClockRules, heading: $heading),
            $slotSeconds,
        );
    }

    private static function taps(string $id, int $sets, int $rest): Block
    {
        return self::block(
            $id,
            'a.sole/still b.sole/still',
            ['kind' => 'timed', 'workSeconds' => 30, 'sets' => $sets, 'restSeconds' => $rest, 'sides' => 'alternating'],
        );
    }

    private static function other(string $id, int $sets, int $rest): Block
    {
        return self::block(
            $id,
            'a.in b.in',
            ['kind' => 'timed', 'workSeconds' => 20, 'sets' => $sets, 'restSeconds' => $rest, 'sides' => 'each'],
            ['layout' => ['kind' => 'pair', 'distance' => ['value' => 3, 'unit' => 'm']]],
        );
    }

    /**
     * @param  array<string, mixed>  $dose
     * @param  array<string, mixed>  $change
     */
    private static function block(string $id, string $script, array $dose, array $change = []): Block
    {
        $drill = DrillFactory::fromFields($change + ['script' => $script, 'scoring' => null] + Drills::fields());

        return Block::ofDrill($id, $drill, DoseKinds::standard()->read($dose), Tempo::Steady, null);
    }
}
