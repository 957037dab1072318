<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Home;

use FleetSparrow\Core\Home\HomeDoubt;
use FleetSparrow\Core\Record\MarkKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is odd is asked about; what a child may well have done is not. */
final class HomeDoubtTest extends TestCase
{
    /** @return array<string, array{MarkKind, float, float|null, float|null, float, list<string>}> */
    public static function numbers(): array
    {
        return [
            'a digit too many' => [MarkKind::LongestRun, 120.0, 12.0, null, 1.0, ['120, and the best so far is 12.']],
            // 5,000 at three a second are 1,667 s.
            '5,000 by a seven-year-old' => [
                MarkKind::LongestRun, 5000.0, null, null, 1.0, ['5,000 would take 28 minutes, and the day has 15.'],
            ],
            'as long as the day is' => [MarkKind::LongestRun, 2700.0, null, null, 1.0, []],
            'one more' => [MarkKind::RunningTotal, 2701.0, null, null, 1.0, ['2,701 would take 16 minutes, and the day has 15.']],
            'as fast as feet can' => [MarkKind::CountInTime, 180.0, null, 30.0, 1.0, []],
            'faster' => [MarkKind::CountInTime, 181.0, null, 30.0, 1.0, ['181 in 30 s is more than feet can do.']],
            'faster, three touches each' => [MarkKind::CountInTime, 61.0, null, 30.0, 3.0, ['61 in 30 s is more than feet can do.']],
            'a good day' => [MarkKind::CountInTime, 44.0, 22.0, 30.0, 1.0, []],
            'a time has no such limit' => [MarkKind::TimeForWork, 400.0, 100.0, null, 1.0, []],
        ];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('numbers')]
    public function test_what_is_asked(MarkKind $kind, float $value, ?float $best, ?float $set, float $perCount, array $expected): void
    {
        self::assertSame($expected, HomeDoubt::of($kind, $value, $best, $set, 15.0, $perCount));
    }
}
