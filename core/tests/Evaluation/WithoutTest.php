<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Evaluation;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Plan\Availability;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\TestCase;

/** What a session leaves on those who were not there for all of it. */
final class WithoutTest extends TestCase
{
    public function test_a_player_has_what_the_blocks_they_worked_in_come_to(): void
    {
        $planned = self::planned();
        $came = $planned->without(['b' => [1], 'g' => [1, 2]]);

        // Sole taps: 2 x 30 s at 0.9 s a pair, a touch of each foot: 133.3. A game of 10 minutes shared by four: 90.
        self::assertEqualsWithDelta(133.33, $came->touches[1]->contacts(), 0.01);
        self::assertEqualsWithDelta($planned->touches[2]->contacts() - 90.0, $came->touches[2]->contacts(), 1e-6);
        self::assertEqualsWithDelta($planned->touches[3]->contacts(), $came->touches[3]->contacts(), 1e-9);
        self::assertEqualsWithDelta(60.0, $came->times[1]->ballSeconds, 1e-9);
        self::assertEqualsWithDelta($planned->times[2]->ballSeconds - 90.0, $came->times[2]->ballSeconds, 1e-6);
        self::assertSame([2, 3, 4], array_keys($came->blocks[1]->touches));
        self::assertSame($planned->finish, $came->finish);
    }

    public function test_nobody_was_with_whoever_was_not_there(): void
    {
        $with = static fn (PlanEvaluation $of): array => array_merge(
            [],
            ...array_map(static fn (Station $one): array => $one->meeting(), $of->blocks[1]->groups),
        );
        self::assertContains(1, $with(self::planned()));
        self::assertNotContains(1, $with(self::planned()->without(['b' => [1]])));
        self::assertSame([], self::planned()->without(['b' => [1, 2, 3, 4]])->blocks[1]->groups);
        $gone = array_map(static fn (PlanPlayer $one): int => $one->id, self::planned()->blocks[1]->groups[0]->workers);
        self::assertSame([0], array_keys(self::planned()->without(['b' => $gone])->blocks[1]->groups));
        // Lists, as they are told.
        $left = self::planned()->without(['b' => array_slice($gone, 0, 1)])->blocks[1]->groups[0]->workers;
        self::assertSame(range(0, count($left) - 1), array_keys($left));
    }

    public function test_a_duty_in_what_was_missed_was_not_done(): void
    {
        $planned = self::planned(Availability::ServesOnly);

        self::assertSame(4, $planned->blocks[2]->duties[0]->playerId);
        self::assertSame([], $planned->without(['g' => [4]])->blocks[2]->duties);
        $two = self::planned(Availability::ServesOnly, Availability::ServesOnly);
        self::assertCount(2, $two->blocks[2]->duties);
        self::assertSame([0], array_keys($two->without(['g' => [$two->blocks[2]->duties[0]->playerId]])->blocks[2]->duties));
    }

    public function test_where_nobody_missed_anything_it_stays_what_it_was(): void
    {
        $planned = self::planned();

        self::assertSame($planned, $planned->without([]));
        self::assertSame($planned->blocks[0], $planned->without(['b' => [1]])->blocks[0]);
        self::assertEqualsWithDelta(
            $planned->touches[1]->contacts(),
            $planned->without(['of another plan' => [1]])->touches[1]->contacts(),
            1e-9,
        );
    }

    private static function planned(
        Availability $last = Availability::Everything,
        Availability $third = Availability::Everything,
    ): PlanEvaluation {
        $pairs = ['organisation' => ['workers' => 2, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'take-turns']];
        [$taps, $back] = [Drills::soleTaps(), DrillFactory::fromFields($pairs + ['slug' => 'in-pairs'] + Drills::fields())];
        $players = array_map(
            static fn (int $i): PlanPlayer => new PlanPlayer(
                $i,
                StrongFoot::Right,
                today: [3 => $third, 4 => $last][$i] ?? Availability::Everything,
            ),
            range(1, 4),
        );

        return PlanEvaluator::evaluate([
            Block::ofDrill('a', $taps, $taps->dose, Tempo::Steady, null),
            Block::ofDrill('b', $back, $back->dose, Tempo::Steady, null),
            Block::ofMinutes('g', BlockKind::Game, 10.0),
        ], PlanContext::of($players, [], new ClockRules));
    }
}
