<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\RaceDose;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Dose\TimedDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\OwnNumbers;
use FleetSparrow\Core\Plan\OwnPaces;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\TestCase;

final class OwnPacesTest extends TestCase
{
    public function test_without_numbers_it_is_the_drill_for_everybody(): void
    {
        $drill = self::drill();
        $own = OwnPaces::of($drill, $drill->pace(Tempo::Steady), [self::player(1), self::player(2)]);

        self::assertEquals([1 => $drill->pace(Tempo::Steady), 2 => $drill->pace(Tempo::Steady)], $own->byPlayer);
        self::assertSame([0, 0, 0], [$own->withTries, $own->withSeconds, $own->days]);
    }

    public function test_a_player_is_pulled_to_the_others_and_they_to_the_drill(): void
    {
        $drill = self::drill();
        $players = [self::player(1, seconds: 2.0, days: 3), self::player(2, seconds: 1.4, days: 6), self::player(3)];
        $own = OwnPaces::of($drill, $drill->pace(Tempo::Steady), $players);

        // The others of 1 are 2: (6 · 1.4 + 3 · 1) ÷ 9 = 1.2667, and with 1's own three days (3 · 2 + 3 · 1.2667) ÷ 6 = 1.6333.
        // The others of 2: (3 · 2 + 3) ÷ 6 = 1.5, so (6 · 1.4 + 3 · 1.5) ÷ 9 = 1.4333. Of 3: (3 · 2 + 6 · 1.4 + 3) ÷ 12 = 1.45.
        self::assertEqualsWithDelta(
            [1 => 1.633333, 2 => 1.433333, 3 => 1.45],
            array_map(fn (Pace $pace): float => $pace->secondsPerRep, $own->byPlayer),
            1e-6,
        );
        self::assertSame([0, 2, 9], [$own->withTries, $own->withSeconds, $own->days]);
        // To learn is 1.6 times as slow, for them as for the drill.
        self::assertEqualsWithDelta(
            1.6 * 1.45,
            OwnPaces::of($drill, $drill->pace(Tempo::Learn), $players)->byPlayer[3]->secondsPerRep,
            1e-6,
        );
    }

    public function test_a_slow_drill_pulls_to_its_own_seconds(): void
    {
        $drill = DrillFactory::fromFields(['secondsPerRep' => 2.0] + Drills::fields());
        $own = OwnPaces::of($drill, $drill->pace(Tempo::Steady), [self::player(1, seconds: 3.0, days: 3), self::player(2)]);
        // 1 alone is pulled to the drill: (3 · 3 + 3 · 2) ÷ 6 = 2.5. 2 has only what 1 and the drill say: (3 · 3 + 3 · 2) ÷ 6 = 2.5.
        self::assertEqualsWithDelta([1 => 2.5, 2 => 2.5], array_map(fn (Pace $pace): float => $pace->secondsPerRep, $own->byPlayer), 1e-9);
    }

    public function test_chances_too(): void
    {
        $drill = self::drill();
        $own = OwnPaces::of($drill, $drill->pace(Tempo::Steady), [self::player(1, 10, 30), self::player(2, 5, 5), self::player(3)]);

        // Others of 1: (5 + 9.5) ÷ 20 = 0.725. Of 2: (10 + 9.5) ÷ 50 = 0.39. Of 3: (15 + 9.5) ÷ 60 = 0.408333.
        self::assertEqualsWithDelta(
            [1 => 0.725, 2 => 0.39, 3 => 0.408333],
            array_map(fn (Pace $pace): float => $pace->priorChance, $own->byPlayer),
            1e-6,
        );
        // Own tries then weigh against ten of those: 1 has (10 + 7.25) of 50.
        self::assertEqualsWithDelta(
            0.345,
            $own->byPlayer[1]->alpha() / ($own->byPlayer[1]->alpha() + $own->byPlayer[1]->beta()),
            1e-9,
        );
        self::assertSame(2, $own->withTries);
        // However many miss, the chance stays one that can be reckoned with.
        self::assertSame(
            0.05,
            OwnPaces::of($drill, $drill->pace(Tempo::Steady), [self::player(1), self::player(2, 0, 5000)])->byPlayer[1]->priorChance,
        );
    }

    public function test_a_quick_player_touches_more_and_a_slow_one_holds_the_race_up(): void
    {
        $block = fn (Dose $dose): Block => Block::ofDrill('a', self::drill(), $dose, Tempo::Steady, null);
        $evaluate = fn (Block $block, PlanPlayer ...$players) => PlanEvaluator::evaluate(
            [$block],
            PlanContext::of(array_values($players), [], new ClockRules),
        )->blocks[0];
        $quick = self::player(1, seconds: 0.5, days: 8);
        $slow = self::player(2, seconds: 3.0, days: 8);
        $timed = $evaluate($block(TimedDose::of(30.0, 2, 20.0, DoseSides::Right)), $quick, $slow);
        $race = fn (PlanPlayer ...$players): float => $evaluate(
            $block(RaceDose::of(20, 1, 0.0, DoseSides::Right)),
            ...$players,
        )->work->mean();

        self::assertGreaterThan(2.0 * $timed->touches[2]->contacts(), $timed->touches[1]->contacts());
        self::assertSame(60.0 + 20.0, $timed->work->mean());
        // On the ribbon stands what they touch on average.
        $mean = ($timed->touches[1]->contacts() + $timed->touches[2]->contacts()) / 2.0;
        self::assertEqualsWithDelta(
            $mean,
            array_sum(array_map(fn ($segment): float => $segment->leftTouches + $segment->rightTouches, $timed->segments)),
            1e-9,
        );
        self::assertGreaterThan(1.5 * $race($quick), $race($quick, $slow));
        self::assertContains(
            "A rep is 1.03 to 2.36 s: the drill's own 1.00 s, weighed as 3 days, "
                .'with the numbers of 2 of 2 players on 16 days between them.',
            $timed->how,
        );
    }

    /** A rep a second, and 95 good ones of 100. */
    private static function drill(): Drill
    {
        return DrillFactory::fromFields(['secondsPerRep' => 1.0, 'goodChance' => 0.95] + Drills::fields());
    }

    private static function player(int $id, int $made = 0, int $missed = 0, float $seconds = 0.0, int $days = 0): PlanPlayer
    {
        return new PlanPlayer(
            $id,
            StrongFoot::Right,
            numbers: ['sole-taps' => OwnNumbers::of($made, $missed, $seconds, $days)],
        );
    }
}
