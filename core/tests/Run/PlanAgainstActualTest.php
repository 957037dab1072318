<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Run;

use FleetSparrow\Core\Run\BlockActual;
use FleetSparrow\Core\Run\PlanAgainstActual;
use FleetSparrow\Core\Run\StretchTime;
use FleetSparrow\Core\Timeline\SegmentKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PlanAgainstActualTest extends TestCase
{
    /** @return iterable<string, array{list<StretchTime>, string, float}> stretches, words, seconds over */
    public static function blocks(): iterable
    {
        $block = static function (SegmentKind $kind, float $planned, float $took, float $paused = 0.0, float $frozen = 0.0): StretchTime {
            return new StretchTime('b', $kind, $planned, $took, $paused, $frozen);
        };
        $work = fn (float $took, float $paused = 0.0, float $frozen = 0.0): StretchTime => $block(
            SegmentKind::Work, 60.0, $took, $paused, $frozen,
        );
        yield 'half a minute is no difference' => [[$block(SegmentKind::Explain, 60.0, 89.0), $work(60.0)], 'As planned.', 29.0];
        // 60 + 60 planned; 185 + 60 took.
        yield 'explaining' => [[$block(SegmentKind::Explain, 60.0, 185.0), $work(60.0)], '2:05 over, most of all explaining.', 125.0];
        yield 'frozen to coach' => [[$work(60.0, 20.0, 90.0)], '1:50 over, most of all frozen to coach.', 110.0];
        yield 'pauses' => [[$work(60.0, 50.0, 30.0)], '1:20 over, most of all pauses.', 80.0];
        yield 'cut short' => [[$work(60.0), $work(60.0), $work(20.0)], '0:40 under, most of all the work.', -40.0];
        yield 'a third of the work is not skipped' => [[$work(60.0), $work(0.0), $work(0.0)], '2:00 under, most of all the work.', -120.0];
        yield 'less is' => [[$work(59.0), $work(0.0), $work(0.0)], 'Skipped: it counts as not done.', -121.0];
        yield 'however long it was explained' => [
            [$block(SegmentKind::Explain, 60.0, 200.0), $work(0.0)], 'Skipped: it counts as not done.', 80.0,
        ];
        yield 'a game is what it is for' => [[$block(SegmentKind::Game, 600.0, 600.0)], 'As planned.', 0.0];
    }

    /** @param  list<StretchTime>  $stretches */
    #[DataProvider('blocks')]
    public function test_says_by_how_much_and_why(array $stretches, string $words, float $over): void
    {
        $actual = PlanAgainstActual::of($stretches)['b'];
        // Numbers were written down: it was done, whatever the clock says.
        self::assertFalse(PlanAgainstActual::of($stretches, ['b'])['b']->wasSkipped);
        self::assertSame($words, $actual->words());
        self::assertEqualsWithDelta($over, $actual->overSeconds(), 1e-9);
    }

    public function test_blocks_are_told_in_their_order_and_apart(): void
    {
        $of = fn (string $block, float $took): StretchTime => new StretchTime($block, SegmentKind::Work, 60.0, $took);
        $all = PlanAgainstActual::of([$of('z', 60.0), $of('a', 0.0), $of('z', 120.0)]);
        self::assertSame(['z', 'a'], array_keys($all));
        self::assertSame([180.0, 0.0], array_map(fn (BlockActual $one): float => $one->actualSeconds, array_values($all)));
        self::assertSame([false, true], array_map(fn (BlockActual $one): bool => $one->wasSkipped, array_values($all)));
    }
}
