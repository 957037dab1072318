<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Record;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Record\Aim;
use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Record\Bounds;
use FleetSparrow\Core\Record\HitsAhead;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\MarkValue;
use FleetSparrow\Core\Record\Prediction;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Record\TargetSchool;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\TestCase;

final class TargetTest extends TestCase
{
    use TestTrait;

    /** 14 15 13 15 17 18 17 19: mean 16, standard deviation 2.0702. */
    private const CLIMBING = [14, 15, 13, 15, 17, 18, 17, 19];

    private const WINDOWS = [
        ['hits-of-attempts', ['kind' => 'tries', 'balls' => 10, 'untilHit' => 0], 0.0, 10.0],
        ['hits-of-attempts', ['kind' => 'reps', 'reps' => 6], 0.0, 6.0],
        ['running-total', ['kind' => 'collective', 'total' => 100], 0.0, 100.0],
        ['longest-run', ['kind' => 'collective', 'total' => 60], 0.0, 60.0],
        ['longest-run', ['kind' => 'streak'], 0.0, 9999.0],
        ['tries-for-quota', ['kind' => 'quota', 'good' => 8], 8.0, 999.0],
        ['tries-to-first-hit', ['kind' => 'tries', 'untilHit' => 1], 1.0, 99.0],
        ['seconds-held', ['kind' => 'timed', 'workMilliseconds' => 30000], 0.0, 30.0],
        ['count-in-time', ['kind' => 'timed', 'workMilliseconds' => 30000], 0.0, 999.0],
        ['time-for-work', ['kind' => 'race', 'reps' => 3], 0.1, 3600.0],
    ];

    public function test_what_a_number_can_be(): void
    {
        foreach (self::WINDOWS as [$kind, $window, $least, $most]) {
            $bounds = Bounds::of(MarkKind::from($kind), ['window' => $window]);
            self::assertSame([$least, $most], [$bounds->least, $bounds->most], $kind);
        }
        $chain = Bounds::of(MarkKind::ChainSteps, ['script' => 'a.in b.in a.sole', 'window' => ['kind' => 'timed']]);
        self::assertSame(3.0, $chain->most);
        self::assertSame(99.0, Bounds::of(MarkKind::ChainSteps, ['script' => 'no script'])->most);

        MarkValue::of(MarkKind::HitsOfAttempts, 10.0)->within(Bounds::of(MarkKind::HitsOfAttempts, ['window' => self::WINDOWS[0][1]]));
        $this->expectExceptionObject(InvalidRecord::outOfRange('Hits', 0.0, 10.0));
        MarkValue::of(MarkKind::HitsOfAttempts, 12.0)->within(Bounds::of(MarkKind::HitsOfAttempts, ['window' => self::WINDOWS[0][1]]));
    }

    public function test_nothing_asked_for_lies_outside_what_can_be(): void
    {
        $this->forAll(
            Generators::choose(0, count(self::WINDOWS) - 1),
            Generators::vector(9, Generators::choose(0, 1000)),
            Generators::choose(0, 9),
            Generators::elements(TargetSchool::cases()),
            Generators::choose(1, 9),
        )->then(function (int $which, array $values, int $count, TargetSchool $school, int $tenths): void {
            [$name, $window] = self::WINDOWS[$which];
            $kind = MarkKind::from($name);
            $bounds = Bounds::of($kind, ['window' => $window]);
            // Spread over what can be, both ends among them.
            $top = min($bounds->most, $bounds->least + 40.0);
            $numbers = array_map(
                fn (int $value): float => $value > 900 ? $bounds->most : round($bounds->least + $value / 900 * ($top - $bounds->least)),
                array_slice($values, 0, $count),
            );
            $reading = self::reading($kind, array_map(fn (float $one): float => max($bounds->least, $one), $numbers));
            $target = Target::of($reading, new Aim($school, $bounds, $values[0] / 10.0, $tenths / 10.0));
            if ($target === null) {
                self::assertTrue($count === 0);

                return;
            }
            self::assertTrue($bounds->hold($target->value), "{$name} {$school->value} {$target->value}");
            self::assertTrue($target->chance === null || ($target->chance >= 0.0 && $target->chance <= 1.0));
            // At the best there is no more, and it is said.
            $isBest = $reading->recordDay()?->best === $bounds->best($kind->better());
            self::assertTrue(! $isBest || $school === TargetSchool::LastPlusOne || $target->harder !== null);
        });
    }

    public function test_at_the_ceiling_the_next_step_is_offered(): void
    {
        $aim = new Aim(TargetSchool::OwnRecord, Bounds::of(MarkKind::HitsOfAttempts, ['window' => self::WINDOWS[0][1]]));
        $target = Target::of(self::reading(MarkKind::HitsOfAttempts, [9.0]), $aim);
        self::assertSame([10.0, null], [$target?->value, $target?->harder]);
        $target = Target::of(self::reading(MarkKind::HitsOfAttempts, [10.0]), $aim);
        self::assertSame(
            [10.0, 'own record, which cannot be bettered', 'Next: farther away, a smaller target, or the other foot.'],
            [$target?->value, $target?->because, $target?->harder],
        );
        // The fewest tries for eight good ones are eight.
        $quota = new Aim(TargetSchool::OwnRecord, Bounds::of(MarkKind::TriesForQuota, ['window' => self::WINDOWS[5][1]]));
        self::assertSame(8.0, Target::of(self::reading(MarkKind::TriesForQuota, [8.0]), $quota)?->value);
        // A goal of 25 ends the run: 26 is none to beat in it.
        $run = (new Aim(TargetSchool::OwnRecord, Bounds::ofKind(MarkKind::LongestRun)))->withinDose(
            MarkKind::LongestRun,
            DoseKinds::standard()->read(['kind' => 'streak', 'goal' => 25, 'sets' => 3, 'restSeconds' => 0, 'sides' => 'right']),
        );
        self::assertSame([25.0, true], [
            Target::of(self::reading(MarkKind::LongestRun, [25.0]), $run)?->value,
            Target::of(self::reading(MarkKind::LongestRun, [25.0]), $run)?->harder !== null,
        ]);
    }

    public function test_milestones_fit_the_window(): void
    {
        $aim = new Aim(TargetSchool::Milestones, Bounds::of(MarkKind::HitsOfAttempts, ['window' => ['kind' => 'reps', 'reps' => 12]]));
        $at = static fn (float ...$values): ?Target => Target::of(self::reading(MarkKind::HitsOfAttempts, array_values($values)), $aim);
        self::assertSame([10.0, 'next milestone'], [$at(7)?->value, $at(7)?->because]);
        self::assertSame([12.0, 'all there is'], [$at(10)?->value, $at(10)?->because]);
        self::assertNotNull($at(12)?->harder);
        // Hits begin with a number; catching on begins with one.
        self::assertNull($at());
    }

    public function test_one_number_for_an_age(): void
    {
        // 70 sole taps in 30 s are common practice, no source: 35 pairs.
        $drill = DrillFactory::fromFields(['scoring' => [
            'kind' => 'count-in-time',
            'starts' => 'whistle',
            'stops' => 'whistle',
            'fixed' => [['ageGroup' => 'U9', 'number' => 25], ['ageGroup' => 'U13', 'number' => 35]],
        ]] + Drills::fields());
        $for = static fn (string $age): ?float => $drill->rule?->fixedFor(AgeGroup::of($age));
        self::assertSame([null, 25.0, 25.0, 35.0, 35.0], array_map($for, ['U8', 'U9', 'U12', 'U13', 'U18']));

        $aim = new Aim(TargetSchool::Fixed, Bounds::ofKind(MarkKind::CountInTime), 35.0);
        self::assertSame(35.0, Target::of(self::reading(MarkKind::CountInTime, []), $aim)?->value);
        self::assertSame(35.0, Target::of(self::reading(MarkKind::CountInTime, [34.0]), $aim)?->value);
        // Who is there goes on from the own record, and so does who has no such number.
        self::assertSame(36.0, Target::of(self::reading(MarkKind::CountInTime, [35.0]), $aim)?->value);
        $none = new Aim(TargetSchool::Fixed, Bounds::ofKind(MarkKind::CountInTime));
        self::assertSame(8.0, Target::of(self::reading(MarkKind::CountInTime, [7.0]), $none)?->value);
    }

    /** R: predict(lm(x ~ i), data.frame(i = 9), se.fit = TRUE); x̄ + qt(.6, 7) · s · sqrt(1 + 1/8). */
    public function test_a_stretch_against_r(): void
    {
        $flat = Prediction::of(self::reading(MarkKind::CountInTime, [14, 19, 13, 17, 15, 18, 17, 15]));
        self::assertEqualsWithDelta(16.57785526, $flat?->reachedWith(0.4, Better::Higher), 1e-7);
        $climbing = Prediction::of(self::reading(MarkKind::CountInTime, self::CLIMBING));
        self::assertEqualsWithDelta(19.32142857, $climbing?->centre, 1e-8);
        self::assertEqualsWithDelta(1.380901066, $climbing->spread, 1e-8);
        self::assertEqualsWithDelta(19.68713886, $climbing->reachedWith(0.4, Better::Higher), 1e-7);
        self::assertEqualsWithDelta(0.4, $climbing->chanceOf(19.68713886, Better::Higher), 1e-7);

        // Away from easy: 19.69 reps are twenty; the same as times are 19.2 - 0.1 · … downwards.
        $stretch = new Aim(TargetSchool::Stretch, Bounds::ofKind(MarkKind::CountInTime));
        $target = Target::of(self::reading(MarkKind::CountInTime, self::CLIMBING), $stretch);
        self::assertSame([20.0, 'reached about 4 times in 10'], [$target?->value, $target?->because]);
        self::assertLessThan(0.4, $target->chance);
        // Three days say nothing, nor do eight that are all the same: a record and one.
        self::assertSame(16.0, Target::of(self::reading(MarkKind::CountInTime, [14, 15, 13]), $stretch)?->value);
        self::assertSame(15.0, Target::of(self::reading(MarkKind::CountInTime, array_fill(0, 8, 14)), $stretch)?->value);
    }

    /** R: pbinom(k - 1, 10, .62, lower.tail = FALSE) for six, seven and eight of ten. */
    public function test_hits_of_ten_against_r(): void
    {
        $line = self::reading(MarkKind::HitsOfAttempts, [6, 6, 7, 6, 6]);
        $ahead = HitsAhead::of($line, 10);
        foreach ([6 => 0.6823130208, 7 => 0.4335969671, 8 => 0.2017113231] as $hits => $chance) {
            self::assertEqualsWithDelta($chance, $ahead?->chanceOf((float) $hits), 1e-9);
        }
        self::assertSame(8.0, $ahead?->stretch(0.4));
        self::assertNull(HitsAhead::of(self::reading(MarkKind::HitsOfAttempts, [10, 10, 10, 10]), 10));
        self::assertNull(HitsAhead::of(self::reading(MarkKind::HitsOfAttempts, [6, 6, 7]), 10));
    }

    /** @param  list<int|float>  $values  one a week */
    private static function reading(MarkKind $kind, array $values): LineReading
    {
        $first = CalendarDate::fromIso('2026-03-03');

        $day = static fn (int $i, int|float $value): SessionValue => SessionValue::ofOneTry($first->plusDays(7 * $i), (float) $value);

        return LineReading::ofDays($kind, array_map($day, array_keys($values), $values));
    }
}
