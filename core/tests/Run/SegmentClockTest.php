<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Run;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Run\SegmentClock;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SegmentClockTest extends TestCase
{
    use TestTrait;

    /**
     * @return iterable<string, array{list<array{press: string, atMs: int, seconds?: int}>, int, array{state: string, index: int,
     *     elapsedMs: int, remainingMs: int, isHeld: bool}}>
     */
    public static function cases(): iterable
    {
        foreach (self::golden()['cases'] as $case) {
            yield $case['name'] => [$case['presses'], $case['nowMs'], $case['expected']];
        }
    }

    /**
     * @param  list<array{press: string, atMs: int, seconds?: int}>  $presses
     * @param  array{state: string, index: int, elapsedMs: int, remainingMs: int, isHeld: bool}  $expected
     */
    #[DataProvider('cases')]
    public function test_agrees_with_the_golden_cases(array $presses, int $nowMs, array $expected): void
    {
        self::assertSame($expected, SegmentClock::at(self::golden()['segments'], $presses, $nowMs));
    }

    public function test_time_spent_agrees_with_the_golden_cases(): void
    {
        foreach (self::golden()['spent'] as $case) {
            self::assertSame(
                $case['expected'],
                SegmentClock::spentMs(self::golden()['segments'], $case['presses'], $case['nowMs']),
                $case['name'],
            );
        }
    }

    public function test_time_stopped_agrees_with_the_golden_cases(): void
    {
        foreach (self::golden()['stopped'] as $case) {
            self::assertSame(
                $case['expected'],
                SegmentClock::stoppedMs(self::golden()['segments'], $case['presses'], $case['nowMs']),
                $case['name'],
            );
        }
    }

    public function test_pausing_loses_and_gains_no_time(): void
    {
        $this->forAll(Generators::choose(1, 29_000), Generators::choose(1, 600_000))->then(function (int $before, int $pause): void {
            $straight = SegmentClock::at(
                self::golden()['segments'],
                [['press' => 'start', 'atMs' => 0], ['press' => 'next', 'atMs' => 0]],
                $before + 500,
            );
            $paused = SegmentClock::at(self::golden()['segments'], [
                ['press' => 'start', 'atMs' => 0], ['press' => 'next', 'atMs' => 0],
                ['press' => 'pause', 'atMs' => $before], ['press' => 'resume', 'atMs' => $before + $pause],
            ], $before + $pause + 500);
            self::assertSame($straight, $paused);
        });
    }

    /**
     * @return array{segments: list<array{seconds: int, endsByClock: bool}>, cases: list<array<string, mixed>>,
     *     spent: list<array<string, mixed>>, stopped: list<array<string, mixed>>}
     */
    private static function golden(): array
    {
        return json_decode((string) file_get_contents(__DIR__.'/../golden/segment-clock.json'), true, flags: JSON_THROW_ON_ERROR);
    }
}
