<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Evaluation;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Organisation\Duty;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Plan\Availability;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use PHPUnit\Framework\TestCase;

final class MinutesBlockTest extends TestCase
{
    public function test_whoever_only_serves_today_touches_no_ball_in_a_game_and_the_others_share_it(): void
    {
        // Eleven of twelve in 15 minutes: 900 s ÷ 11 × 0.6 = 49 touches each.
        $game = self::minutes(BlockKind::Game, 15.0, [...array_fill(0, 11, Availability::Everything), Availability::ServesOnly]);

        foreach (range(1, 11) as $player) {
            self::assertEqualsWithDelta(49.09, $game->touches[$player]->contacts(), 0.01);
            self::assertEqualsWithDelta(49.09, $game->times[$player]->ballSeconds, 0.01);
        }
        self::assertSame(0.0, $game->touches[12]->contacts());
        self::assertSame([0.0, 900.0], [$game->times[12]->ballSeconds, $game->times[12]->servingSeconds]);
        self::assertSame([[12, 'counts']], self::duties($game));
        $roles = array_map(static fn (Seat $seat): string => $seat->role->value, $game->segments[0]->seats);
        self::assertSame(['plays' => 11, 'counts' => 1], array_count_values($roles));
        self::assertSame([], $game->warnings);
        self::assertSame('The ball is in play for 60% of it and shared by 11: 49 s each, a touch a second of that.', $game->how[1]);
    }

    public function test_who_may_not_strike_or_head_plays_all_the_same(): void
    {
        // Two in 10 minutes: 600 s ÷ 2 × 0.6 = 180.
        $game = self::minutes(BlockKind::Game, 10.0, [Availability::NoStriking, Availability::NoHeading]);

        self::assertEqualsWithDelta(180.0, $game->touches[1]->contacts(), 1e-9);
        self::assertEqualsWithDelta(180.0, $game->touches[2]->contacts(), 1e-9);
        self::assertSame([], self::duties($game));
    }

    public function test_one_alone_is_reckoned_with_a_grown_up_and_told_so(): void
    {
        foreach ([[Availability::Everything], [Availability::Everything, Availability::ServesOnly]] as $may) {
            $game = self::minutes(BlockKind::Game, 10.0, $may);
            self::assertEqualsWithDelta(180.0, $game->touches[1]->contacts(), 1e-9);
            self::assertSame(
                ['One alone has nobody to play: reckoned with a grown-up who plays along.'],
                array_map(static fn (Warning $one): string => $one->sentence, $game->warnings),
            );
            self::assertSame('take-out', $game->warnings[0]->cure?->kind->value);
        }
    }

    public function test_where_nobody_may_play_it_says_so_and_nobody_touches_a_ball(): void
    {
        $game = self::minutes(BlockKind::Game, 10.0, [Availability::ServesOnly]);

        self::assertSame('Nobody who is here may play today.', $game->warnings[0]->sentence);
        self::assertSame(0.0, $game->touches[1]->contacts());
    }

    public function test_in_water_and_talk_nobody_works_serves_or_waits(): void
    {
        foreach ([BlockKind::Water, BlockKind::Talk] as $kind) {
            $block = self::minutes($kind, 2.0, [Availability::Everything, Availability::ServesOnly]);
            foreach ($block->times as $player => $time) {
                self::assertSame([0.0, 0.0, 0.0], [$time->ballSeconds, $time->servingSeconds, $time->waitingSeconds]);
                self::assertSame(0.0, $block->touches[$player]->contacts());
            }
            self::assertSame([1, 2], array_keys($block->segments[0]->seats));
            self::assertSame([[], [], 1], [$block->warnings, $block->duties, count($block->how)]);
            self::assertEqualsWithDelta(120.0, $block->judged->mean(), 1e-9);
        }
    }

    /** @param  non-empty-list<Availability>  $may  of players 1, 2 and so on */
    private static function minutes(BlockKind $kind, float $minutes, array $may): BlockEvaluation
    {
        $players = array_map(
            static fn (Availability $today, int $i): PlanPlayer => new PlanPlayer($i + 1, StrongFoot::Right, $today),
            $may,
            array_keys($may),
        );

        return PlanEvaluator::evaluate([Block::ofMinutes('g', $kind, $minutes)], PlanContext::of($players, [], new ClockRules))->blocks[0];
    }

    /** @return list<array{int, string}> */
    private static function duties(BlockEvaluation $block): array
    {
        return array_map(static fn (Duty $one): array => [$one->playerId, $one->kind->value], $block->duties);
    }
}
