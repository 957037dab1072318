<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Layout;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\Kind\Scatter;
use FleetSparrow\Core\Layout\Kind\SmallField;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Layout\Label;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Layout\LayoutParameter;
use FleetSparrow\Core\Layout\Marker;
use FleetSparrow\Core\Layout\Place;
use FleetSparrow\Core\Layout\PlaceRole;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Layout\WallLine;
use FleetSparrow\Core\Shared\Length;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every layout of the book against closed forms worked out by hand. */
final class LayoutsTest extends TestCase
{
    use TestTrait;

    /**
     * @return array<string, array{array<string, mixed>, float|null, float|null, array{int, int}, int}> fields, ball path in metres, own
     *     path, footprint in millimetres, markers
     */
    public static function layouts(): array
    {
        $m = fn (float $metres): array => ['value' => $metres, 'unit' => 'm'];

        return [
            // Out to a long board and back: twice half of 9.5.
            'boards' => [
                ['kind' => 'boards', 'width' => $m(12), 'depth' => $m(9.5), 'innerWidth' => $m(4), 'innerDepth' => $m(2.5)],
                9.5,
                null,
                [12000, 9500],
                8,
            ],
            'box' => [['kind' => 'box', 'width' => $m(5), 'depth' => $m(4)], null, null, [5000, 4000], 4],
            'corridor: to each wall and back' => [['kind' => 'corridor', 'distance' => $m(6)], 12.0, null, [6000, 0], 1],
            // 4 up, 3 away at 90°: 4 across, 3 up.
            'defender' => [['kind' => 'defender', 'approach' => $m(4), 'exit' => $m(3), 'angleDegrees' => 90], 7.0, null, [4000, 3000], 3],
            'facing lines, two wait behind each' => [
                ['kind' => 'facing-lines', 'distance' => $m(8), 'perLine' => 3],
                8.0,
                8.0,
                [12000, 0],
                2,
            ],
            'figure of eight' => [
                ['kind' => 'figure-of-eight', 'distance' => $m(2.7432), 'radius' => $m(0.5), 'middleMarker' => true],
                8.9967,
                null,
                [3743, 1000],
                3,
            ],
            // Three markers 3 yd apart, so the outer two 6 yd: 2·√(5.4864² − 1) + π + 2·asin(1 ÷ 5.4864).
            'figure of eight of three markers' => [
                ['kind' => 'figure-of-eight', 'distance' => ['value' => 6, 'unit' => 'yd'], 'radius' => $m(0.5), 'middleMarker' => true],
                14.2972,
                null,
                [6486, 1000],
                3,
            ],
            'gates' => [['kind' => 'gates', 'gateWidth' => $m(1), 'distance' => $m(9)], 9.0, null, [9000, 1000], 4],
            // Common practice, no source: a lane of 10 yards.
            'lane of ten yards' => [
                ['kind' => 'lane', 'width' => $m(2), 'length' => ['value' => 10, 'unit' => 'yd']],
                9.144,
                null,
                [9144, 2000],
                4,
            ],
            'line' => [['kind' => 'line', 'markers' => 6, 'spacing' => $m(1.5)], 7.5, null, [7500, 0], 6],
            'on the spot' => [['kind' => 'on-the-spot', 'apart' => $m(1.5)], null, null, [1500, 1500], 0],
            // Six heads of 9 m² each: √54 = 7.348 m a side.
            'shared box' => [['kind' => 'shared-box', 'head' => $m(3)], null, null, [7348, 7348], 4],
            // Common practice, no source: a pull-back pair 2 yards apart.
            'pair' => [['kind' => 'pair', 'distance' => ['value' => 2, 'unit' => 'yd']], 1.8288, null, [1829, 0], 2],
            'passing rectangle, round' => [
                [
                    'kind' => 'passing-rectangle',
                    'width' => $m(8),
                    'depth' => $m(6),
                    'order' => 0,
                    'clockwise' => 0,
                    'perCorner' => 1,
                    'balls' => 1,
                ],
                28.0,
                8.0,
                [8000, 6000],
                4,
            ],
            // 8 straight, 5 and 5 by the middle (6-8-10), and the same again.
            'passing rectangle, straight and two diagonals' => [
                [
                    'kind' => 'passing-rectangle',
                    'width' => $m(8),
                    'depth' => $m(6),
                    'order' => 2,
                    'clockwise' => 0,
                    'perCorner' => 1,
                    'balls' => 1,
                ],
                36.0,
                8.0,
                [8000, 6000],
                5,
            ],
            // 8 straight, 10 diagonal (6-8-10), 8 straight, 10 diagonal.
            'passing rectangle, straight and diagonal' => [
                [
                    'kind' => 'passing-rectangle',
                    'width' => $m(8),
                    'depth' => $m(6),
                    'order' => 1,
                    'clockwise' => 1,
                    'perCorner' => 2,
                    'balls' => 2,
                ],
                36.0,
                10.0,
                [8000, 6000],
                4,
            ],
            // Two legs of 10 (6-8-10), a shot of 12; back two spacings of 8.
            'pattern to goal' => [
                ['kind' => 'pattern-to-goal', 'passers' => 3, 'spacing' => $m(8), 'offset' => $m(6), 'shot' => $m(12)],
                32.0,
                16.0,
                [8000, 28000],
                3,
            ],
            // From the middle of 4 × 4 to a corner: √8, twice.
            'reaction square' => [['kind' => 'reaction-square', 'side' => $m(4)], 5.656854, null, [4000, 4000], 4],
            'reference marker' => [['kind' => 'reference', 'reach' => $m(1), 'serverMetres' => 5], 4.0, null, [2000, 5500], 1],
            'scatter' => [
                ['kind' => 'scatter', 'markers' => 10, 'width' => $m(9), 'depth' => $m(9), 'seed' => 7],
                null,
                null,
                [9000, 9000],
                10,
            ],
            // Six balls a metre apart, outside in: 5 + 4 + 3 + 2 + 1. From 2.5 m off the middle, 6 m away: √42.25.
            'shooting line' => [
                ['kind' => 'shooting-line', 'ballCount' => 6, 'spacing' => $m(1), 'distance' => $m(6), 'goalWidth' => $m(4)],
                6.5,
                15.0,
                [5000, 6000],
                2,
            ],
            'small field with two goals an end' => [
                ['kind' => 'small-field', 'width' => $m(20), 'depth' => $m(15), 'goalWidth' => $m(2), 'goalsPerEnd' => 2],
                null,
                null,
                [20000, 15000],
                12,
            ],
            // Half of 60° to the side: 10 · sin 30° = 5 each way.
            'targets' => [
                ['kind' => 'targets', 'targets' => 3, 'distance' => $m(10), 'spreadDegrees' => 60, 'balls' => 6],
                10.0,
                null,
                [10000, 10000],
                3,
            ],
            'wall lane' => [
                ['kind' => 'wall-lane', 'width' => $m(2), 'nearest' => $m(3), 'step' => $m(2), 'levels' => 3, 'level' => 2],
                10.0,
                null,
                [2000, 7000],
                6,
            ],
            // 5 to the wall, 5 back, 4 to the line behind.
            'wall and a turn line' => [
                ['kind' => 'wall-turn', 'width' => $m(2), 'wall' => $m(5), 'turnLine' => $m(4)],
                14.0,
                null,
                [2000, 9000],
                4,
            ],
            'zigzag' => [['kind' => 'zigzag', 'markers' => 5, 'spacing' => $m(4), 'angleDegrees' => 60], 16.0, null, [13856, 2000], 5],
        ];
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  array{int, int}  $footprint
     */
    #[DataProvider('layouts')]
    public function test_path_footprint_and_markers_are_what_hand_work_gives(
        array $fields,
        ?float $ball,
        ?float $own,
        array $footprint,
        int $markers,
    ): void {
        $layout = LayoutKinds::standard()->read($fields);

        self::assertEqualsWithDelta($ball, $layout->ballPath()?->lengthMetres, 5e-5);
        self::assertEqualsWithDelta($own, $layout->runPath()?->lengthMetres, 5e-5);
        self::assertSame($footprint, [$layout->footprint()->widthMillimetres, $layout->footprint()->depthMillimetres]);
        self::assertCount($markers, $layout->markers());
        self::assertSame($fields['kind'], $layout->kind());
        // A layout says where its people and its balls are.
        self::assertNotEmpty(array_filter($layout->places(), fn ($place): bool => $place->role === PlaceRole::Worker));
        self::assertNotEmpty($layout->balls());
        self::assertSame($markers, Kit::of($layout, 1)->markers());
        self::assertSame(max(9, count($layout->balls())), Kit::of($layout, 1, 9)->equipment['ball']);
    }

    /** The drawings as they were looked at, and what may be chosen; a change here changes what stands on the ground. */
    public function test_everything_is_drawn_where_it_was_looked_at(): void
    {
        $golden = json_decode((string) file_get_contents(__DIR__.'/../golden/layouts.json'), true, 512, JSON_THROW_ON_ERROR);
        $drawn = array_map(fn (array $case): array => self::drawing(LayoutKinds::standard()->read($case[0])), self::layouts());
        self::assertSame($golden, $drawn);
    }

    /** @return array<string, list<string>> */
    private static function drawing(Layout $layout): array
    {
        $at = fn (Point $point): string => sprintf('%+.3f %+.3f', $point->xMetres, $point->yMetres);
        $points = fn (?BallPath $path): array => array_map($at, $path->points ?? []);

        return [
            'markers' => array_map(fn (Marker $one): string => "{$at($one->at)} {$one->colour} {$one->shape->value}", $layout->markers()),
            'ball' => $points($layout->ballPath()),
            'run' => $points($layout->runPath()),
            'times' => [(string) $layout->timesAlongPath()],
            'dimensions' => array_map(
                fn (DimensionLine $one): string => "{$at($one->from)} to {$at($one->to)}: {$one->length->tenthsOfMillimetre}",
                $layout->dimensions(),
            ),
            'labels' => array_map(fn (Label $one): string => "{$at($one->at)} {$one->text}", $layout->labels()),
            'places' => array_map(fn (Place $one): string => "{$at($one->at)} {$one->role->value}", $layout->places()),
            'balls' => array_map($at, $layout->balls()),
            'walls' => array_map(fn (WallLine $one): string => "{$at($one->from)} to {$at($one->to)}", $layout->walls()),
            'equipment' => array_map(
                fn (string $what, int $count): string => "{$count} {$what}",
                array_keys($layout->equipment()),
                array_values($layout->equipment()),
            ),
            'chosen' => array_map(
                fn (LayoutParameter $one): string => "{$one->name} {$one->type} {$one->least} {$one->most}",
                $layout::chosen(),
            ),
        ];
    }

    public function test_every_kind_has_a_closed_form_here(): void
    {
        $tested = array_values(array_unique(array_map(fn (array $case): string => (string) $case[0]['kind'], self::layouts())));
        sort($tested);

        self::assertSame(array_keys(LayoutKinds::standard()->parameters()), $tested);
    }

    /** @param  array<string, mixed>  $fields */
    #[DataProvider('layouts')]
    public function test_parameters_name_a_layout_whatever_the_unit(array $fields, ?float $ball, ?float $own): void
    {
        $layout = LayoutKinds::standard()->read($fields);
        $inFeet = array_map(
            fn (mixed $value): mixed => is_array($value) && $value['unit'] === 'm' ? [
                'value' => $value['value'] / 0.3048,
                'unit' => 'ft',
            ] : $value,
            $fields,
        );

        self::assertSame($layout->parameters(), LayoutKinds::standard()->read($inFeet)->parameters());
    }

    /** @param  array<string, mixed>  $fields */
    #[DataProvider('layouts')]
    public function test_the_drawn_path_is_as_long_as_the_figure_and_stays_on_the_ground_it_takes(array $fields): void
    {
        $layout = LayoutKinds::standard()->read($fields);
        foreach ([$layout->ballPath(), $layout->runPath()] as $path) {
            if ($path === null) {
                continue;
            }
            $drawn = 0.0;
            foreach (array_slice($path->points, 1) as $i => $point) {
                $drawn += $path->points[$i]->distanceMetres($point);
            }
            // Arcs are drawn as chords.
            self::assertEqualsWithDelta($path->lengthMetres, $drawn, 0.005 * $path->lengthMetres);
        }
        $spread = fn (array $values): float => $values === [] ? 0.0 : max($values) - min($values);
        $points = [...array_map(fn ($marker) => $marker->at, $layout->markers()), ...($layout->ballPath()->points ?? [])];
        self::assertLessThanOrEqual(
            $layout->footprint()->widthMillimetres + 1,
            1000 * $spread(array_map(fn ($point): float => $point->xMetres, $points)),
        );
        self::assertLessThanOrEqual(
            $layout->footprint()->depthMillimetres + 1,
            1000 * $spread(array_map(fn ($point): float => $point->yMetres, $points)),
        );
    }

    public function test_no_parameter_in_range_gives_a_negative_or_endless_figure(): void
    {
        $this->forAll(
            Generators::elements(array_keys(LayoutKinds::standard()->parameters())),
            Generators::choose(1, 1200),
            Generators::choose(1, 1200),
            Generators::choose(0, 90),
        )->then(function (string $kind, int $a, int $b, int $number): void {
            $length = fn (int $decimetres): array => ['value' => $decimetres / 10, 'unit' => 'm'];
            $fields = ['kind' => $kind];
            foreach (self::layouts() as [$example]) {
                if ($example['kind'] === $kind) {
                    $lengths = [$length($a), $length($b), $length($a), $length($b)];
                    foreach ($example as $name => $value) {
                        $fields[$name] = is_array($value)
                            ? array_shift($lengths)
                            : (is_int($value) && $value > 1 ? 1 + $number % 5 : $value);
                    }
                }
            }
            try {
                $layout = LayoutKinds::standard()->read($fields);
            } catch (InvalidLayout) {
                return;
            }
            foreach ([
                $layout->ballPath()->lengthMetres ?? 0.0,
                $layout->runPath()->lengthMetres ?? 0.0,
                $layout->footprint()->widthMillimetres,
                $layout->footprint()->depthMillimetres,
            ] as $figure) {
                self::assertTrue(is_finite($figure) && $figure >= 0);
            }
        });
    }

    public function test_strewn_markers_are_the_same_for_the_same_seed_and_never_on_one_another(): void
    {
        $this->forAll(Generators::choose(2, 60), Generators::choose(0, 9999))->then(function (int $markers, int $seed): void {
            $strewn = fn (int $of): Layout => Scatter::of($markers, Length::ofMetres(10.0), Length::ofMetres(8.0), $of);
            self::assertEquals($strewn($seed)->markers(), $strewn($seed)->markers());
            self::assertNotEquals($strewn($seed)->markers(), $strewn($seed + 1)->markers());
            foreach ($strewn($seed)->markers() as $i => $marker) {
                self::assertTrue(
                    $marker->at->xMetres > 0
                    && $marker->at->xMetres < 10
                    && $marker->at->yMetres > 0
                    && $marker->at->yMetres < 8
                );
                foreach (array_slice($strewn($seed)->markers(), $i + 1) as $other) {
                    self::assertGreaterThan(0.05, $marker->at->distanceMetres($other->at));
                }
            }
        });
    }

    public function test_goals_wider_than_their_end_are_refused(): void
    {
        $field = fn (float $goal): Layout => SmallField::of(Length::ofMetres(20.0), Length::ofMetres(10.0), Length::ofMetres($goal), 2);
        self::assertCount(12, $field(5.0)->markers());
        $this->expectExceptionMessage('The goals are wider than the end of the field they stand on.');
        $field(5.1);
    }

    public function test_kit_is_counted_by_kind_and_colour_for_all_stations(): void
    {
        $kit = Kit::of(LayoutKinds::standard()->read(self::layouts()['wall lane'][0]), 3);

        self::assertSame(['blue' => 6, 'white' => 12], $kit->markersByColour);
        self::assertSame(['ball' => 3, 'wall' => 3], $kit->equipment);
        self::assertSame(18, $kit->markers());
    }
}
