<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Layout;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Layout\LayoutParameter;
use FleetSparrow\Core\Layout\Walk;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Touch\Script;
use PHPUnit\Framework\TestCase;

final class WalkTest extends TestCase
{
    use TestTrait;

    public function test_a_dribbled_ball_takes_the_worker_along_and_a_passed_one_does_not(): void
    {
        $lane = LayoutKinds::standard()->read(
            ['kind' => 'lane', 'width' => ['value' => 2, 'unit' => 'm'], 'length' => ['value' => 9, 'unit' => 'm']],
        );
        $dribbled = Walk::of($lane, Script::fromText('(a.lace/fwd)x+'), 4.5);
        $passed = Walk::of($lane, Script::fromText('a.in!pass'), 4.5);

        self::assertEquals([0.0, 4.5], array_column($dribbled->ball ?? [], 'seconds'));
        self::assertEquals($dribbled?->ball, $dribbled?->worker);
        self::assertSame([], $passed?->worker);
        // 9 m in half a second would be shot, not drawn: 6 m/s at the most.
        self::assertSame(1.5, Walk::of($lane, Script::fromText('a.in!pass'), 0.5)?->seconds);
    }

    public function test_a_way_of_one_s_own_is_walked_in_the_same_time(): void
    {
        $lines = LayoutKinds::standard()->read(['kind' => 'facing-lines', 'distance' => ['value' => 8, 'unit' => 'm'], 'perLine' => 2]);
        $walk = Walk::of($lines, Script::fromText('a.in!first b.in!pass'), 4.0);

        self::assertSame([4.0, 4.0], [$walk?->ball[1]->seconds, $walk?->worker[1]->seconds]);
        self::assertNull(
            Walk::of(
                LayoutKinds::standard()->read(
                    ['kind' => 'box', 'width' => ['value' => 2, 'unit' => 'm'], 'depth' => ['value' => 2, 'unit' => 'm']],
                ),
                Script::fromText('a.in'),
                1.0,
            ),
        );
    }

    public function test_time_never_runs_back_in_any_drill_of_the_book(): void
    {
        foreach (BookTest::book() as $drill) {
            $walk = Walk::of($drill->layout, $drill->script, $drill->secondsPerRep);
            foreach ($walk === null ? [] : [$walk->ball, $walk->worker] as $way) {
                $seconds = array_column($way, 'seconds');
                $sorted = $seconds;
                sort($sorted);
                self::assertSame($sorted, $seconds, $drill->slug);
                self::assertTrue($seconds === [] || abs($seconds[count($seconds) - 1] - $walk->seconds) < 1e-9, $drill->slug);
            }
        }
    }

    public function test_no_parameter_in_range_yields_a_negative_or_non_finite_figure(): void
    {
        $this->limitTo(400)
            ->forAll(
                Generators::elements(array_keys(LayoutKinds::standard()->parameters())),
                Generators::seq(Generators::choose(0, 1000000)),
            )
            ->then(function (string $kind, array $draws): void {
                $draws = array_values($draws);
                $fields = ['kind' => $kind];
                foreach (LayoutKinds::standard()->tryParameters($kind) as $i => $parameter) {
                    $fields[$parameter->name] = self::drawn($parameter, (int) ($draws[$i] ?? 500000));
                }
                self::assertSame([], LayoutKinds::standard()->faults($fields));
                try {
                    $layout = LayoutKinds::standard()->read($fields);
                } catch (CoreException $refused) {
                    // What contradicts itself (a goal wider than its field) is refused with a sentence.
                    self::assertStringEndsWith('.', $refused->getMessage());

                    return;
                }
                $figures = [
                    $layout->ballPath()->lengthMetres ?? 0.0,
                    $layout->runPath()->lengthMetres ?? 0.0,
                    (float) $layout->footprint()->widthMillimetres,
                    (float) $layout->footprint()->depthMillimetres,
                    (float) $layout->timesAlongPath(),
                    Walk::of($layout, Script::fromText('a.in'), 1.0)->seconds ?? 0.0,
                ];
                foreach ($figures as $figure) {
                    self::assertTrue(is_finite($figure) && $figure >= 0.0, json_encode($fields) ?: '');
                }
                foreach ([
                    ...array_map(fn ($marker) => $marker->at, $layout->markers()),
                    ...$layout->balls(),
                    ...($layout->ballPath()->points ?? []),
                ] as $point) {
                    self::assertTrue(is_finite($point->xMetres) && is_finite($point->yMetres));
                }
            });
    }

    public function test_every_kind_names_its_parameters_and_each_is_needed(): void
    {
        foreach (LayoutKinds::standard()->parameters() as $kind => $parameters) {
            $needed = array_values(array_filter($parameters, fn (LayoutParameter $one): bool => $one->type !== 'flag'));
            self::assertSame(
                array_map(fn (LayoutParameter $one): string => $one->name, $needed),
                array_keys(LayoutKinds::standard()->faults(['kind' => $kind])),
            );
        }
        self::assertSame(['kind'], array_keys(LayoutKinds::standard()->faults(['kind' => 'pitch'])));
    }

    private static function drawn(LayoutParameter $parameter, int $draw): mixed
    {
        return match ($parameter->type) {
            // 0.1 to 120 m, as often small as large.
            'length' => ['value' => round(0.1 * 1200 ** ($draw / 1000000), 3), 'unit' => 'm'],
            'whole' => $parameter->least + $draw % ($parameter->most - $parameter->least + 1),
            default => $draw % 2 === 0,
        };
    }
}
