<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Timeline;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\GoLimit;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Touch\FootMark;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What one count is, which numbers are written, and when a go is stopped. */
final class CountedTest extends TestCase
{
    /** @return array<string, array{string|null, float, float}> unit, contacts a foot, seconds */
    public static function units(): array
    {
        // A rep is two touches, one of each foot, in 0.9 s; to 100 without a drop.
        return [
            'each touch: 100 touches, 50 a foot' => ['touch', 50.0, 45.0],
            'each pair: 100 a foot' => ['pair', 100.0, 90.0],
            'each rep, here a pair' => ['rep', 100.0, 90.0],
            'each lap' => ['lap', 100.0, 90.0],
            'nothing said' => [null, 100.0, 90.0],
        ];
    }

    #[DataProvider('units')]
    public function test_to_a_hundred(?string $unit, float $contacts, float $seconds): void
    {
        $dose = ['kind' => 'collective', 'total' => 100, 'onlyGood' => 0, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'alternating'];
        $block = self::plan($dose, ['kind' => 'running-total'] + ($unit === null ? [] : ['counts' => $unit]), 1, ['goodChance' => 1.0]);
        self::assertEqualsWithDelta($contacts, $block->touches[1]->contactsOf(FootMark::Left), 1.0);
        self::assertEqualsWithDelta($contacts, $block->touches[1]->contactsOf(FootMark::Right), 1.0);
        self::assertEqualsWithDelta($seconds, $block->work->mean(), 2.0);
    }

    public function test_another_unit_is_another_line(): void
    {
        $line = function (array $scoring): ?string {
            $drill = DrillFactory::fromFields(['scoring' => $scoring + Drills::fields()['scoring']] + Drills::fields());

            return $drill->dose === null ? null : $drill->task($drill->dose, Side::Right, 4)?->key;
        };
        self::assertSame($line([]), $line(['counts' => 'rep', 'owed' => 'every']));
        self::assertNotSame($line([]), $line(['counts' => 'touch']));
    }

    public function test_the_best_of_the_sets_is_written_once_a_foot_or_every_set(): void
    {
        $dose = ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 20, 'sides' => 'each'];
        $owed = fn (array $scoring): array => array_merge([], ...array_map(
            fn (Segment $one): array => array_map(fn (Owed $owed): string => "{$owed->playerId} {$owed->side}", $one->owed),
            self::plan($dose, $scoring, 14)->segments,
        ));
        self::assertCount(28, $owed([]));
        self::assertCount(28, array_unique($owed([])));
        // Both feet, two sets and 14 players are 56 numbers.
        self::assertCount(56, $owed(['owed' => 'every']));
    }

    public function test_a_go_is_stopped_at_the_usual_time_at_the_coach_s_or_never(): void
    {
        $pace = Pace::of(4.0, 0.6, 6.0);
        $limit = function (array $said) use ($pace): ?float {
            $fields = ['kind' => 'quota', 'good' => 10, 'restSeconds' => 0, 'sides' => 'right'] + $said;
            $dose = DoseKinds::standard()->read($fields);
            self::assertSame($said, array_intersect_key($dose->fields(), ['limitSeconds' => 0]));

            return GoLimit::seconds($dose, $pace, new Memo);
        };
        // The median of one alone is 100 s and a bit: three times it, to the next half minute.
        self::assertSame(330.0, $limit([]));
        self::assertSame(90.0, $limit(['limitSeconds' => 90.0]));
        self::assertNull($limit(['limitSeconds' => 0.0]));
        $this->expectExceptionMessage('A go is stopped must be between 0 and 3600 seconds.');
        $limit(['limitSeconds' => 3600.5]);
    }

    public function test_who_is_stopped_has_fewer_touches(): void
    {
        $plan = fn (array $limit): BlockEvaluation => self::plan(
            ['kind' => 'quota', 'good' => 10, 'restSeconds' => 0, 'sides' => 'right'] + $limit,
            ['kind' => 'tries-for-quota'],
            1,
            ['goodChance' => 0.5],
        );
        [$early, $late, $never] = [$plan(['limitSeconds' => 20]), $plan(['limitSeconds' => 60]), $plan(['limitSeconds' => 0])];
        self::assertLessThan($late->touches[1]->contacts(), $early->touches[1]->contacts());
        self::assertLessThan($never->touches[1]->contacts(), $late->touches[1]->contacts());
    }

    /**
     * @param  array<string, mixed>  $dose
     * @param  array<string, mixed>  $scoring
     * @param  array<string, mixed>  $change
     */
    private static function plan(array $dose, array $scoring, int $players, array $change = []): BlockEvaluation
    {
        $drill = DrillFactory::fromFields($change + ['scoring' => $scoring + Drills::fields()['scoring']] + Drills::fields());
        $block = Block::ofDrill('a', $drill, $drill->doseFrom($dose), Tempo::Steady, null);
        $coming = array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, $players));

        return PlanEvaluator::evaluate([$block], PlanContext::of($coming, [], new ClockRules))->blocks[0];
    }
}
