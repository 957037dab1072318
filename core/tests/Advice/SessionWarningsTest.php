<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Advice;

use FleetSparrow\Core\Advice\SessionWarnings;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Shared\Earlier;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\TestCase;

/** What is said of the session as a whole: a week much fuller than those before, and shots with the other leg. */
final class SessionWarningsTest extends TestCase
{
    public function test_a_jump_in_touches_names_how_many_and_how_much(): void
    {
        $weeks = fn (float $amount): array => array_map(fn (int $week): Earlier => new Earlier(7 * $week, $amount), range(1, 4));
        $said = fn (array $reps): array => self::said(
            array_map(fn (float $count): Tally => Tally::of(Script::fromText('a.in'))->times($count), $reps),
            new SeasonPast(touches: [1 => $weeks(100.0), 2 => $weeks(100.0), 3 => $weeks(100.0)]),
        );
        // Over one and a half times the mean of four weeks, not at it; who does nothing today is in no jump.
        self::assertSame([], $said([1 => 150.0, 2 => 80.0, 3 => 0.0]));
        self::assertSame(
            ['Touches this week with this session: 1 player is at over 1.5 times their mean of the four weeks before, 1.6 at most. '
                .'A debated measure: take it as a reason to ask how legs feel.'],
            $said([1 => 160.0, 2 => 80.0, 3 => 0.0]),
        );
        self::assertStringContainsString('2 players are at over 1.5 times', $said([1 => 160.0, 2 => 210.0, 3 => 0.0])[0]);
        self::assertStringContainsString('2.1 at most', $said([1 => 160.0, 2 => 210.0, 3 => 0.0])[0]);
        // Without four weeks before, nothing is said.
        self::assertSame([], self::said([1 => Tally::of(Script::fromText('a.in'))->times(900.0)], new SeasonPast));
    }

    public function test_shots_with_the_other_leg(): void
    {
        $shots = fn (float $left, float $right): array => self::said([
            1 => Tally::of(Script::fromText('L.lace!shot'))->times($left)->plus(Tally::of(Script::fromText('R.lace!shot'))->times($right)),
        ], new SeasonPast);
        // Of a right-footer those with the left.
        self::assertSame([], $shots(30.0, 90.0));
        self::assertSame(
            ['31 shots with the other leg for one player. Over 30: technique, not power, and stop on pain.'],
            $shots(30.6, 0.0),
        );
    }

    /**
     * @param  array<int, Tally>  $touches
     * @return list<string>
     */
    private static function said(array $touches, SeasonPast $past): array
    {
        $players = array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), [1, 2, 3]);
        $context = PlanContext::of($players, [], new ClockRules, past: $past);

        return array_map(fn (Warning $one): string => $one->sentence, SessionWarnings::of($touches, $context));
    }

    public function test_a_share_of_a_player_s_time(): void
    {
        self::assertEquals(new PlayerTime(30.0, 15.0, 7.5, 10.0), (new PlayerTime(60.0, 30.0, 15.0, 20.0))->times(0.5));
        // Beginning again nobody waits longer at a time.
        self::assertEquals(new PlayerTime(120.0, 60.0, 30.0, 20.0), (new PlayerTime(60.0, 30.0, 15.0, 20.0))->times(2.0));
    }
}
