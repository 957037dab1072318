<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Organisation;

use FleetSparrow\Core\Clock\Calibration;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Duty;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\Way\Hunt;
use FleetSparrow\Core\Organisation\Way\InTurns;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Who is where, and what follows from it: edges that whole plans step over. */
final class CastTest extends TestCase
{
    private const GAME = ['workers' => 4, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'live', 'keepers' => 1];

    public function test_touches_in_a_game_do_not_depend_on_how_its_script_is_written(): void
    {
        // Four field players and no keeper: 60 s · 0.6 ÷ 4 = 9 s of ball, a contact a second, side by side with any script.
        $touches = fn (string $script): float => self::plan(
            [self::drill(['script' => $script, 'organisation' => ['keepers' => 0] + self::GAME])],
            4,
        )[0]->touches[1]->contacts();
        self::assertEqualsWithDelta([9.0, 9.0, 9.0], [$touches('a.in'), $touches('a.in b.in'), $touches('a.in b.in a.out b.out')], 1e-9);
    }

    public function test_a_turn_in_goal_counts_as_one(): void
    {
        // All have kept once this season but 1: 1 is first, and after that everybody has one; the list decides again.
        $blocks = self::plan(
            [self::drill(['organisation' => self::GAME]), self::drill(['organisation' => self::GAME])],
            4,
            new SeasonPast(keeperTurns: [2 => 1, 3 => 1, 4 => 1]),
        );
        self::assertSame(
            [[1], [1]],
            array_map(fn (BlockEvaluation $block): array => array_map(fn (Duty $one): int => $one->playerId, $block->duties), $blocks),
        );
    }

    public function test_balls_of_a_hunt(): void
    {
        self::assertSame([1, 1, 1, 7, 3], [
            (new Hunt)->balls(new Crew(1)),
            (new Hunt)->balls(new Crew(2)),
            (new Hunt)->balls(new Crew(3)),
            (new Hunt)->balls(new Crew(14)),
            (new Hunt(3))->balls(new Crew(14)),
        ]);
    }

    public function test_a_three_among_pairs_is_named_only_where_pairs_swap(): void
    {
        $said = fn (array $organisation, int $players): string => implode(' ', array_map(
            fn (Warning $one): string => $one->sentence,
            self::plan([self::drill(['organisation' => $organisation, 'dose' => [
                'kind' => 'timed', 'workSeconds' => 90, 'sets' => 2, 'restSeconds' => 10, 'sides' => 'both',
            ]])], $players)[0]->warnings,
        ));
        $card = ['card' => ['give' => 'Along the ground.', 'call' => '', 'count' => '', 'stop' => '']];
        $served = ['workers' => 1, 'playerServers' => 1, 'service' => 'passed'] + $card;
        self::assertStringContainsString('There is one three.', $said($served, 5));
        self::assertStringNotContainsString('three', $said($served, 4));
        // Three at a station by plan are no three among pairs.
        self::assertStringNotContainsString('There is one three.', $said(['playerServers' => 2] + $served, 3));
    }

    #[DataProvider('crowds')]
    public function test_who_may_be_planned_for(int $players, int $helpers, bool $isTaken): void
    {
        $coming = array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), $players === 0 ? [] : range(1, $players));
        if (! $isTaken) {
            $this->expectException(InvalidPlan::class);
        }
        self::assertCount($players, PlanContext::of($coming, [], new ClockRules, helpers: $helpers)->players);
    }

    /** @return array<string, array{int, int, bool}> */
    public static function crowds(): array
    {
        return [
            'nobody' => [0, 0, false],
            'one' => [1, 0, true],
            'forty and twenty helpers' => [40, 20, true],
            'forty-one' => [41, 0, false],
            'helpers that are not there' => [4, -1, false],
            'twenty-one helpers' => [4, 21, false],
        ];
    }

    public function test_short_times_are_times_too(): void
    {
        self::assertSame([1, 0], [Calibration::of([[0.5, 0.5]])->blocks, Calibration::of([[0.5, 0.5]])->leftOut]);
        self::assertSame(1, Calibration::of([[0.5, 0.0]])->leftOut);
    }

    public function test_a_ball_each_asks_for_a_ball_each(): void
    {
        $box = ['workers' => 6, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'together'];
        $coming = array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, 6));
        $drill = self::drill(['organisation' => $box]);
        $said = fn (int $balls): string => implode(' ', array_map(
            fn (Warning $one): string => $one->sentence,
            PlanEvaluator::evaluate(
                [Block::ofDrill('b', $drill, $drill->doseFrom(null), Tempo::Steady, null)],
                PlanContext::of($coming, [], new ClockRules, new KitOwned(balls: $balls)),
            )->blocks[0]->warnings,
        ));
        self::assertStringContainsString('This needs 6 balls and the squad has 5.', $said(5));
        self::assertStringNotContainsString('balls', $said(6));
    }

    public function test_the_bag_holds_the_most_that_lies_there_at_once(): void
    {
        $of = fn (string $id, int $width, int $stations): Block => Block::ofDrill($id, self::drill([
            'layout' => ['kind' => 'box', 'width' => ['value' => $width, 'unit' => 'yd'], 'depth' => ['value' => 2, 'unit' => 'yd']],
        ]), self::drill([])->doseFrom(null), Tempo::Steady, $stations);
        $coming = array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, 4));
        foreach ([[4, 2], [2, 4]] as [$first, $then]) {
            $kit = PlanEvaluator::evaluate([$of('a', 2, $first), $of('b', 3, $then)], PlanContext::of($coming, [], new ClockRules))->kit;
            self::assertSame([16, 4], [array_sum($kit->markersByColour), $kit->equipment['ball'] ?? 0]);
        }
    }

    public function test_two_blocks_have_a_spread_of_their_own_and_a_move_takes_the_coach_s_time(): void
    {
        // Ratios 1 and 2 about 1.5: √(2 · (0.5 ÷ 1.5)²) = 0.4714, pulled with three of a quarter.
        self::assertEqualsWithDelta((2 * 0.471405 + 3 * 0.25) / 5, Calibration::of([[10, 10], [10, 20]])->variation, 1e-6);
        self::assertSame(30.0, (new ClockRules(changeOver: Calibration::of(array_fill(0, 3, [10, 30]))))->changeSeconds());
    }

    public function test_a_go_of_no_time_has_no_share_of_rest(): void
    {
        $goes = InTurns::alone()->goes(new Crew(2), new GoPattern(['both'], 2, 30.0, 0.0));
        self::assertCount(4, $goes);
        self::assertSame(1.0, $goes[0]->seats[1]->waiting);
    }

    /** @param  array<string, mixed>  $change */
    private static function drill(array $change): Drill
    {
        return DrillFactory::fromFields($change + [
            'dose' => ['kind' => 'timed', 'workSeconds' => 60, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'both'],
        ] + Drills::fields());
    }

    /**
     * @param  list<Drill>  $drills
     * @return list<BlockEvaluation>
     */
    private static function plan(array $drills, int $players, SeasonPast $past = new SeasonPast): array
    {
        $blocks = array_map(
            fn (Drill $drill, int $i): Block => Block::ofDrill("b{$i}", $drill, $drill->doseFrom(null), Tempo::Steady, null),
            $drills,
            array_keys($drills),
        );
        $coming = array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, $players));

        return PlanEvaluator::evaluate($blocks, PlanContext::of($coming, [], new ClockRules, past: $past))->blocks;
    }
}
