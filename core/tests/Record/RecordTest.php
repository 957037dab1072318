<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Record;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Record\Aim;
use FleetSparrow\Core\Record\BestCheck;
use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Record\Bounds;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Mark;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\MarkValue;
use FleetSparrow\Core\Record\Slip;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Record\TargetSchool;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RecordTest extends TestCase
{
    use TestTrait;

    /** @return array<string, array{array<string, mixed>, bool}> changed fields, whether it is still the same line */
    public static function changes(): array
    {
        $box = fn (float $value, string $unit): array => [
            'layout' => ['kind' => 'box', 'width' => ['value' => $value, 'unit' => $unit], 'depth' => ['value' => 2, 'unit' => 'yd']],
        ];
        $rule = Drills::fields()['scoring'];

        return [
            'another name' => [['name' => 'Toe taps'], true],
            'another coaching point' => [['points' => ['Eyes up.']], true],
            'another chance' => [['goodChance' => 0.5], true],
            'metres for the same yards' => [$box(1.8288, 'm'), true],
            'blanks in the script' => [['script' => 'a.sole/still   b.sole/still'], true],
            'wider by an inch' => [$box(2.03, 'yd'), false],
            'another layout' => [
                [
                    'layout' => [
                        'kind' => 'gates',
                        'gateWidth' => ['value' => 2, 'unit' => 'yd'],
                        'distance' => ['value' => 2, 'unit' => 'yd'],
                    ],
                ],
                false,
            ],
            'another script' => [['script' => 'a.in/across b.in/across'], false],
            'a rule mended in its words' => [['scoring' => ['words' => 'Eyes up.'] + $rule], true],
            'another rule' => [['scoring' => ['countsIf' => ['ball-inside']] + $rule], false],
            'no condition, said' => [['scoring' => ['countsIf' => []] + $rule], true],
            'a fault that costs' => [['scoring' => ['fault' => ['what' => 'marker-touched', 'costs' => 'rep-void']] + $rule], false],
            'halves to see the drop-off' => [['scoring' => ['inHalves' => true] + $rule], true],
            'a touch limit' => [['touches' => ['most' => 2]], false],
            'a soft ball' => [['ball' => 'soft'], false],
            'another point, fault, caution and stand-in' => [
                [
                    'points' => ['Eyes up.'],
                    'faults' => [['fault' => 'Slow', 'fix' => 'Count.']],
                    'cautions' => ['Mind the wall.'],
                    'standIns' => [['for' => 'marker', 'use' => 'Shoes.']],
                    'words' => ['taps'],
                    'note' => 'Mended.',
                ],
                true,
            ],
            'another manner of service' => [
                ['organisation' => ['workers' => 1, 'playerServers' => 0, 'service' => 'none', 'manner' => 'fired']],
                false,
            ],
            'another service' => [['organisation' => ['workers' => 1, 'playerServers' => 0, 'service' => 'rolled']], false],
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('changes')]
    public function test_only_a_change_of_the_task_starts_a_new_line(array $change, bool $isSame): void
    {
        $key = fn (Drill $drill): string => (string) $drill->task($drill->doseFrom(null), Side::Right, 4)?->key;
        $changed = DrillFactory::fromFields($change + Drills::fields());

        self::assertSame($isSame, $key(Drills::soleTaps()) === $key($changed));
    }

    public function test_conditions_written_in_another_order_are_the_same_task(): void
    {
        $key = function (string ...$codes): string {
            $scoring = ['countsIf' => $codes] + Drills::fields()['scoring'];
            $drill = DrillFactory::fromFields(['scoring' => $scoring] + Drills::fields());

            return (string) $drill->task($drill->doseFrom(null), Side::Right, 4)?->key;
        };

        self::assertSame($key('ball-inside', 'feet-in-turn'), $key('feet-in-turn', 'ball-inside'));
        self::assertNotSame($key('ball-inside', 'feet-in-turn'), $key('ball-inside'));
    }

    public function test_window_and_side_make_the_line_and_sets_and_rest_do_not(): void
    {
        $drill = Drills::soleTaps();
        $key = fn (array $dose, Side $side = Side::Right): string => (string) $drill->task(
            DoseKinds::standard()->read($dose + $drill->doseFrom(null)->fields()),
            $side,
            4,
        )?->key;

        self::assertSame($key([]), $key(['sets' => 5, 'restSeconds' => 60]));
        self::assertNotSame($key([]), $key(['workSeconds' => 45]));
        self::assertNotSame($key([]), $key([], Side::Left));
        self::assertMatchesRegularExpression('/\A[0-9a-f]{32}\z/', $key([]));
    }

    public function test_a_drill_without_a_rule_has_no_line(): void
    {
        $drill = DrillFactory::fromFields(['scoring' => null] + Drills::fields());

        self::assertNull($drill->task($drill->doseFrom(null), Side::Right, 4));
    }

    public function test_a_day_is_its_best_try_for_records_and_its_middle_try_for_trends(): void
    {
        $reading = self::reading(MarkKind::CountInTime, ['2026-03-03' => [11, 14, 12], '2026-03-05' => [13, 10]]);

        self::assertSame(
            [[14.0, 12.0, 3], [13.0, 11.5, 2]],
            array_map(fn ($day): array => [$day->best, $day->median, $day->tries], $reading->days),
        );
        self::assertSame('2026-03-03', $reading->recordDay()?->on->iso());
        self::assertSame('2026-03-05', $reading->lastDay()?->on->iso());
    }

    public function test_of_times_the_lower_is_better(): void
    {
        $reading = self::reading(MarkKind::TimeForWork, ['2026-03-03' => [10.4, 9.8], '2026-03-05' => [9.9]]);

        self::assertSame(9.8, $reading->recordDay()?->best);
    }

    public function test_a_record_equalled_later_stays_with_its_first_day(): void
    {
        self::assertSame(
            '2026-03-03',
            self::reading(MarkKind::LongestRun, ['2026-03-03' => [20], '2026-03-05' => [20]])->recordDay()?->on->iso(),
        );
    }

    public function test_a_void_try_counts_for_nothing(): void
    {
        $day = CalendarDate::fromIso('2026-03-03');
        $reading = LineReading::of(MarkKind::CountInTime, [new Mark($day, 99.0, void: true), new Mark($day, 7.0)]);

        self::assertSame(7.0, $reading->recordDay()?->best);
        self::assertNull(LineReading::of(MarkKind::CountInTime, [new Mark($day, 99.0, void: true)])->recordDay());
    }

    public function test_the_order_of_arrival_changes_nothing(): void
    {
        $this->forAll(
            Generators::vector(8, Generators::choose(0, 40)),
            Generators::choose(0, 7),
        )->then(function (array $values, int $turn): void {
            $marks = array_map(
                fn (int $i): Mark => new Mark(CalendarDate::fromIso(sprintf('2026-03-%02d', 1 + $i % 3)), (float) $values[$i]),
                array_keys($values),
            );
            $turned = [...array_slice($marks, $turn), ...array_slice($marks, 0, $turn)];
            self::assertEquals(LineReading::of(MarkKind::CountInTime, $marks), LineReading::of(MarkKind::CountInTime, $turned));
        });
    }

    /** @return array<string, array{MarkKind, array<string, list<float|int>>, TargetSchool, float|null, string}> */
    public static function targets(): array
    {
        return [
            'own record and one' => [
                MarkKind::CountInTime,
                ['2026-03-03' => [14], '2026-03-05' => [12]],
                TargetSchool::OwnRecord,
                15.0,
                'own record 14, and one',
            ],
            'a tenth off a time' => [
                MarkKind::TimeForWork,
                ['2026-03-03' => [9.8], '2026-03-05' => [10.1]],
                TargetSchool::OwnRecord,
                9.7,
                'own record 9.8, less 0.1 s',
            ],
            'one try fewer' => [MarkKind::TriesForQuota, ['2026-03-03' => [12]], TargetSchool::OwnRecord, 11.0, 'own record 12, less one'],
            'last and one' => [
                MarkKind::CountInTime,
                ['2026-03-03' => [14], '2026-03-05' => [12]],
                TargetSchool::LastPlusOne,
                13.0,
                'last time 12, and one',
            ],
            'nothing to go by' => [MarkKind::CountInTime, [], TargetSchool::OwnRecord, null, ''],
            // Milestones 1, 2, 3, 10, 20, 25, 100 and 500: common practice, no source.
            'the first milestone' => [MarkKind::LongestRun, [], TargetSchool::Milestones, 1.0, 'next milestone'],
            'after three comes five' => [MarkKind::LongestRun, ['2026-03-03' => [3]], TargetSchool::Milestones, 5.0, 'next milestone'],
            'at 24 comes 25' => [MarkKind::LongestRun, ['2026-03-03' => [24]], TargetSchool::Milestones, 25.0, 'next milestone'],
            'at 25 comes 50' => [MarkKind::LongestRun, ['2026-03-03' => [25]], TargetSchool::Milestones, 50.0, 'next milestone'],
            'past the last one' => [
                MarkKind::LongestRun,
                ['2026-03-03' => [500]],
                TargetSchool::Milestones,
                501.0,
                'own record 500, and one',
            ],
            'times have no milestones' => [
                MarkKind::TimeForWork,
                ['2026-03-03' => [9.8]],
                TargetSchool::Milestones,
                9.7,
                'own record 9.8, less 0.1 s',
            ],
            'what cannot be bettered' => [
                MarkKind::TimeForWork,
                ['2026-03-03' => [0.1]],
                TargetSchool::OwnRecord,
                0.1,
                'own record, which cannot be bettered',
            ],
        ];
    }

    /** @param  array<string, list<float|int>>  $marks */
    #[DataProvider('targets')]
    public function test_targets_follow_their_school(
        MarkKind $kind,
        array $marks,
        TargetSchool $school,
        ?float $value,
        string $because,
    ): void {
        $target = Target::of(self::reading($kind, $marks), new Aim($school, Bounds::ofKind($kind)));

        self::assertSame($value, $target?->value);
        self::assertSame($because, $target->because ?? '');
    }

    public function test_an_own_record_target_is_always_better_than_the_record(): void
    {
        $this->forAll(
            Generators::elements(MarkKind::cases()),
            Generators::vector(5, Generators::choose(2, 900)),
        )->then(function (MarkKind $kind, array $values): void {
            // Within what the kind can mean, with room for one step either way.
            [$least, $most] = [$kind->measure()->least + 1, $kind->measure()->most - 1];
            $values = array_map(fn (int $value): float => max($least, min($most, (float) $value)), $values);
            $reading = self::reading($kind, ['2026-03-03' => $values]);
            $target = Target::of($reading, new Aim(TargetSchool::OwnRecord, Bounds::ofKind($kind)));
            self::assertNotNull($target);
            self::assertTrue($kind->better()->prefers($target->value, $reading->recordDay()->best ?? 0.0));
        });
    }

    /** @return array<string, array{MarkKind, float, bool}> */
    public static function values(): array
    {
        return [
            'nought of a count' => [MarkKind::CountInTime, 0.0, true],
            'minus one' => [MarkKind::CountInTime, -1.0, false],
            'half a rep' => [MarkKind::CountInTime, 11.5, false],
            'the most' => [MarkKind::CountInTime, 999.0, true],
            'a slip of the thumb' => [MarkKind::CountInTime, 1000.0, false],
            'no time at all' => [MarkKind::TimeForWork, 0.0, false],
            'a tenth' => [MarkKind::TimeForWork, 0.1, true],
            'over an hour' => [MarkKind::TimeForWork, 3600.1, false],
            'endless' => [MarkKind::TimeForWork, INF, false],
            'no number' => [MarkKind::LongestRun, NAN, false],
            'no try' => [MarkKind::TriesForQuota, 0.0, false],
        ];
    }

    #[DataProvider('values')]
    public function test_a_number_must_be_one_its_kind_can_have(MarkKind $kind, float $value, bool $isTaken): void
    {
        if (! $isTaken) {
            $this->expectException(InvalidRecord::class);
        }
        self::assertSame($value, MarkValue::of($kind, $value)->value);
    }

    public function test_times_are_kept_as_typed_to_a_hundredth(): void
    {
        self::assertSame(9.85, MarkValue::of(MarkKind::TimeForWork, 9.85)->value);
        self::assertSame(9.86, MarkValue::of(MarkKind::TimeForWork, 9.855)->value);
    }

    public function test_what_each_kind_of_mark_can_be(): void
    {
        $said = array_map(function (MarkKind $kind): string {
            $of = $kind->measure();

            return "{$kind->value}: {$of->better->value}, {$of->least}-{$of->most} by {$of->step} {$of->unit}";
        }, MarkKind::cases());
        self::assertSame([
            'count-in-time: higher, 0-999 by 1 reps',
            'time-for-work: lower, 0.1-3600 by 0.1 s',
            'longest-run: higher, 0-9999 by 1 in a row',
            'running-total: higher, 0-9999 by 1 in all',
            'tries-for-quota: lower, 1-999 by 1 tries',
            'touches-on-path: lower, 1-999 by 1 touches',
            'most-touches-on-path: higher, 1-999 by 1 touches',
            'hits-of-attempts: higher, 0-99 by 1 hits',
            'tries-to-first-hit: lower, 1-99 by 1 balls to the first hit',
            'chain-steps: higher, 0-99 by 1 steps of the chain',
            'farthest-distance: higher, 0-120 by 0.1 m',
            'seconds-held: higher, 0-3600 by 0.1 s held',
            'rung-reached: higher, 0-99 by 1 rung',
            'protocol-score: lower, 0-999 by 0.1 points',
        ], $said);
    }

    public function test_best_check_agrees_with_the_golden_cases(): void
    {
        /** @var array{cases: list<array{name: string, better: string, best: ?float, value: float, expected: string}>} $golden */
        $golden = json_decode((string) file_get_contents(__DIR__.'/../golden/best-check.json'), true, flags: JSON_THROW_ON_ERROR);
        self::assertNotEmpty($golden['cases']);
        foreach ($golden['cases'] as $case) {
            $best = $case['best'];
            self::assertSame(
                $case['expected'],
                BestCheck::of(Better::from($case['better']), $best, $case['value'])->value,
                $case['name'],
            );
        }
    }

    public function test_a_slip_agrees_with_the_golden_cases(): void
    {
        /** @var array{cases: list<array{name: string, best: ?float, value: float, expected: bool}>} $golden */
        $golden = json_decode((string) file_get_contents(__DIR__.'/../golden/slip.json'), true, flags: JSON_THROW_ON_ERROR);
        self::assertNotEmpty($golden['cases']);
        foreach ($golden['cases'] as $case) {
            self::assertSame($case['expected'], Slip::isLikely($case['best'], $case['value']), $case['name']);
        }
    }

    /** @param  array<string, list<float|int>>  $byDay */
    private static function reading(MarkKind $kind, array $byDay): LineReading
    {
        $marks = [];
        foreach ($byDay as $day => $values) {
            foreach ($values as $value) {
                $marks[] = new Mark(CalendarDate::fromIso($day), (float) $value);
            }
        }

        return LineReading::of($kind, $marks);
    }
}
