<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Advice;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Dose\TimedDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Cure;
use FleetSparrow\Core\Shared\CureKind;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Every drill of the book for 1, 2, 7 and 14: whoever stands for over a minute is spoken of, and the cure offered shortens it. */
final class WaitAdviceTest extends TestCase
{
    /** A pair's whole circuit is gone through while the others serve or wait; a helper makes no more of it. */
    private const NO_CURE = ['one-marker-one-server × 7'];

    /** What is dear and the same in every plan is worked out once. */
    private static Memo $memo;

    public static function setUpBeforeClass(): void
    {
        self::$memo = new Memo;
    }

    public function test_every_long_wait_is_said_with_a_cure_that_shortens_it(): void
    {
        [$long, $kinds, $stops] = [0, [], 0];
        foreach (array_map(DrillFactory::fromFields(...), BookTest::fields()) as $drill) {
            foreach ([1, 2, 7, 14] as $players) {
                $dose = $drill->dose ?? TimedDose::of(30.0, 2, 15.0, DoseSides::Both);
                $worked = self::worked($drill, $dose, $players);
                $wait = $worked->longestWaitSeconds();
                if ($wait <= 60.0 || in_array("{$drill->slug} × {$players}", self::NO_CURE, true)) {
                    continue;
                }
                $said = array_values(array_filter($worked->warnings, static fn (Warning $one): bool => $one->code === 'wait'));
                $cure = $said[0]->cure ?? self::fail("{$drill->slug} × {$players} waits {$wait} s, and no cure is said.");
                $cured = self::cured($drill, $dose, $players, $cure)->longestWaitSeconds();
                self::assertLessThan(0.95 * $wait, $cured, "{$drill->slug} × {$players}: {$cure->words}");
                $long++;
                $kinds[$cure->kind->value] = true;
                if (str_starts_with($cure->words, 'Stop a go after')) {
                    // Half or a third of the usual time, in half minutes.
                    self::assertSame(0.0, fmod((float) ($cure->dose['limitSeconds'] ?? 1.0), 30.0), $cure->words);
                    $stops++;
                }
                foreach ($cure->dose === null ? [] : ['reps', 'lengths', 'workSeconds', 'balls'] as $what) {
                    $work = fn (array $fields): float => (float) ($fields[$what] ?? 0.0) * (float) ($fields['sets'] ?? 1);
                    // As much work in more sets: at most one more a set, where half of it is not whole.
                    self::assertGreaterThanOrEqual($work($dose->fields()), $work($cure->dose), $cure->words);
                    $most = $work($dose->fields()) + (float) ($cure->dose['sets'] ?? 0);
                    self::assertLessThanOrEqual($most, $work($cure->dose), $cure->words);
                }
            }
        }
        self::assertGreaterThan(40, $long);
        self::assertGreaterThan(0, $stops);
        self::assertCount(3, $kinds, 'stations, a helper and another dose are each the cure of some');
    }

    #[TestWith([15, 8])]
    #[TestWith([14, 7])]
    #[TestWith([2, 1])]
    public function test_half_of_an_odd_number_of_reps_is_the_greater_half(int $reps, int $half): void
    {
        foreach (array_map(DrillFactory::fromFields(...), BookTest::fields()) as $drill) {
            if ($drill->slug !== 'step-over-push') {
                continue;
            }
            // There are markers for one place alone, so that more of them are no cure.
            $dose = $drill->doseFrom(['kind' => 'reps', 'reps' => $reps, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'each']);
            $kit = new KitOwned(markers: $drill->kit(1)->markers());
            $said = array_filter(
                self::worked($drill, $dose, $reps > 2 ? 4 : 14, stations: 1, kit: $kit)->warnings,
                static fn (Warning $one): bool => $one->code === 'wait',
            );
            $cure = array_values($said)[0]->cure ?? self::fail('There is no cure.');
            self::assertSame('Half as long, twice as often', $cure->words);
            self::assertSame([$half, 2], [$cure->dose['reps'] ?? 0, $cure->dose['sets'] ?? 0]);

            return;
        }
        self::fail('There is no such drill.');
    }

    private static function cured(Drill $drill, Dose $dose, int $players, Cure $cure): BlockEvaluation
    {
        return self::worked(
            $drill,
            $cure->dose === null ? $dose : $drill->doseFrom($cure->dose),
            $players,
            $cure->stations,
            $cure->kind === CureKind::Helper ? 1 : 0,
        );
    }

    /** @param  int<0, max>  $helpers */
    private static function worked(
        Drill $drill,
        Dose $dose,
        int $players,
        ?int $stations = null,
        int $helpers = 0,
        KitOwned $kit = new KitOwned(200, 40, 4),
    ): BlockEvaluation {
        $area = new Area(Length::of(60, LengthUnit::Yard), Length::of(40, LengthUnit::Yard), LengthUnit::Yard);

        return PlanEvaluator::evaluate([Block::ofDrill('b', $drill, $dose, Tempo::Steady, $stations)], PlanContext::of(
            players: array_map(static fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, $players)),
            knownDrills: [],
            rules: new ClockRules,
            kit: $kit,
            area: $area,
            helpers: $helpers,
            memo: self::$memo,
        ))->blocks[0];
    }
}
