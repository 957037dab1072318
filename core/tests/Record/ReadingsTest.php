<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Record;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Mark;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\TryReading;
use FleetSparrow\Core\Shared\CalendarDate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One try seen by two people. */
final class ReadingsTest extends TestCase
{
    use TestTrait;

    /** @return array<string, array{MarkKind, list<array{float, 1?: string}>, float|null, bool}> */
    public static function tries(): array
    {
        return [
            'one reading' => [MarkKind::CountInTime, [[12.0]], 12.0, false],
            'two who agree are one' => [MarkKind::CountInTime, [[12.0], [12.0]], 12.0, false],
            'two who differ: the lower count stands in' => [MarkKind::CountInTime, [[12.0], [14.0]], 12.0, true],
            'two who differ: the longer time stands in' => [MarkKind::TimeForWork, [[9.8], [10.4]], 10.4, true],
            'one says void' => [MarkKind::CountInTime, [[12.0], [12.0, 'void']], null, true],
            'both say void' => [MarkKind::CountInTime, [[12.0, 'void'], [13.0, 'void']], null, false],
            'disputed, alone' => [MarkKind::CountInTime, [[12.0, 'disputed']], null, true],
            'disputed by one of two who agree' => [MarkKind::CountInTime, [[12.0], [12.0, 'disputed']], null, true],
        ];
    }

    /** @param  non-empty-list<array{float, 1?: string}>  $readings */
    #[DataProvider('tries')]
    public function test_readings_of_one_try(MarkKind $kind, array $readings, ?float $value, bool $isOpen): void
    {
        $try = TryReading::of($kind, array_map(self::mark(...), $readings));

        self::assertSame([$value, $isOpen], [$try->value, $try->isOpen]);
    }

    public function test_a_day_counts_its_open_tries_and_keeps_a_day_with_nothing_else(): void
    {
        $day = CalendarDate::fromIso('2026-03-03');
        $reading = LineReading::of(MarkKind::CountInTime, [
            new Mark($day, 12.0, try: '1'), new Mark($day, 14.0, try: '1'), new Mark($day, 11.0, try: '2'),
            new Mark(CalendarDate::fromIso('2026-03-05'), 20.0, disputed: true, try: '1'),
        ]);

        self::assertSame(['2026-03-03' => 1, '2026-03-05' => 1], $reading->openTries);
        self::assertCount(1, $reading->days);
        self::assertSame(
            [12.0, 11.5, 2, 1],
            [$reading->days[0]->best, $reading->days[0]->median, $reading->days[0]->tries, $reading->days[0]->openTries],
        );
    }

    public function test_another_reading_never_raises_what_a_try_counts_for_and_order_does_not_matter(): void
    {
        $this->forAll(
            Generators::seq(Generators::choose(0, 60)),
            Generators::choose(0, 60),
        )->then(function (array $values, int $more): void {
            $marks = array_map(fn (int $value): array => [(float) $value], [...array_values($values), $more]);
            $all = TryReading::of(MarkKind::CountInTime, array_map(self::mark(...), $marks));
            $reversed = TryReading::of(MarkKind::CountInTime, array_map(self::mark(...), array_reverse($marks)));
            self::assertEquals($all, $reversed);
            self::assertLessThanOrEqual((float) $more, $all->value);
            $harsher = TryReading::of(MarkKind::CountInTime, array_map(self::mark(...), [...$marks, [0.0, 'void']]));
            self::assertNull($harsher->value);
        });
    }

    /** @param  array{float, 1?: string}  $reading */
    private static function mark(array $reading): Mark
    {
        return new Mark(
            CalendarDate::fromIso('2026-03-03'),
            $reading[0],
            void: ($reading[1] ?? '') === 'void',
            disputed: ($reading[1] ?? '') === 'disputed',
            try: '1',
        );
    }
}
