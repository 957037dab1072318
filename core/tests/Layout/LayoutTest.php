<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Layout;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Layout\Kind\Box;
use FleetSparrow\Core\Layout\Kind\FigureOfEight;
use FleetSparrow\Core\Layout\Kind\Gates;
use FleetSparrow\Core\Layout\Kind\WallLane;
use FleetSparrow\Core\Layout\Kind\Zigzag;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LayoutTest extends TestCase
{
    use TestTrait;

    public function test_zigzag_of_five_markers_four_yards_apart_is_sixteen_yards_of_ball(): void
    {
        // Common practice, no source: five markers 4 to 5 yards apart. 4 legs × 4 yd × 0.9144 = 14.6304 m.
        $zigzag = Zigzag::of(5, Length::of(4.0, LengthUnit::Yard), 60);

        self::assertEqualsWithDelta(14.6304, $zigzag->ballPath()->lengthMetres, 1e-9);
        self::assertCount(5, $zigzag->markers());
        // Each leg turns 60°, so it runs 30° off the middle line: depth 4 yd · sin 30° = 2 yd, run 16 yd · cos 30°.
        self::assertSame(1829, $zigzag->footprint()->depthMillimetres);
        self::assertSame(12670, $zigzag->footprint()->widthMillimetres);
    }

    public function test_figure_of_eight_has_the_published_length_of_its_closed_form(): void
    {
        // d 3 yd = 2.7432 m, ρ 0.5 m: tangents 2·√(7.52514624 − 1) = 5.10887; asin(1 ÷ 2.7432) = 0.37312;
        // arcs 2·0.5·(π + 0.74623) = 3.88783; together 8.99670, worked out by hand.
        $eight = FigureOfEight::of(Length::of(3.0, LengthUnit::Yard), Length::ofMetres(0.5), true);

        self::assertEqualsWithDelta(8.9967, $eight->ballPath()->lengthMetres, 5e-5);
        self::assertCount(3, $eight->markers());
    }

    public function test_drawn_figure_of_eight_is_as_long_as_its_formula_and_keeps_its_distance(): void
    {
        $this->forAll(
            Generators::choose(15, 300),
            Generators::choose(2, 7),
        )->then(function (int $distanceDecimetres, int $radiusDecimetres): void {
            $radius = $radiusDecimetres / 10;
            $eight = FigureOfEight::of(Length::ofMetres($distanceDecimetres / 10), Length::ofMetres($radius), true);
            $path = $eight->ballPath();
            $drawn = 0.0;
            foreach (array_slice($path->points, 1) as $i => $point) {
                $drawn += $path->points[$i]->distanceMetres($point);
            }
            // The drawn arcs are chords of 24 steps, a little shorter than the true curve.
            self::assertEqualsWithDelta($path->lengthMetres, $drawn, 0.004 * $path->lengthMetres);
            self::assertLessThanOrEqual($path->lengthMetres + 1e-9, $drawn);
            foreach ($path->points as $point) {
                foreach (array_slice($eight->markers(), 0, 2) as $marker) {
                    self::assertGreaterThanOrEqual($radius - 1e-9, $marker->at->distanceMetres($point));
                }
            }
        });
    }

    public function test_box_gates_and_wall_lane_stand_where_their_parameters_say(): void
    {
        $box = Box::of(Length::ofMetres(5.0), Length::ofMetres(3.0));
        self::assertSame([[0.0, 0.0], [5.0, 0.0], [5.0, 3.0], [0.0, 3.0]], self::corners($box));
        self::assertNull($box->ballPath());

        // Common practice, no source: gates 1 yard wide and 10 yards apart.
        $gates = Gates::of(Length::of(1.0, LengthUnit::Yard), Length::of(10.0, LengthUnit::Yard));
        self::assertEqualsWithDelta(9.144, $gates->ballPath()->lengthMetres, 1e-9);
        self::assertCount(4, $gates->markers());

        // Level 2 of 3, 3 m then 2 m apart: 5 m to the wall, 10 m of ball.
        $lane = WallLane::of(Length::ofMetres(2.0), Length::ofMetres(3.0), Length::ofMetres(2.0), 3, 2);
        self::assertEqualsWithDelta(10.0, $lane->ballPath()->lengthMetres, 1e-9);
        self::assertCount(6, $lane->markers());
        self::assertSame(7000, $lane->footprint()->depthMillimetres);
    }

    public function test_a_goal_of_the_laws_of_the_game_can_be_laid_as_a_gate(): void
    {
        // IFAB Laws of the Game, Law 1: the goal is 7.32 m wide, the penalty mark 11 m away.
        $goal = Gates::of(Length::ofMetres(7.32), Length::ofMetres(11.0));

        self::assertSame([11000, 7320], [$goal->footprint()->widthMillimetres, $goal->footprint()->depthMillimetres]);
    }

    /** @return array<string, array{callable(): Layout}> */
    public static function impossible(): array
    {
        $m = static fn (float $metres): Length => Length::ofMetres($metres);

        return [
            'no spacing' => [fn (): Layout => Zigzag::of(5, $m(0.0), 60)],
            'just under 10 cm' => [fn (): Layout => Zigzag::of(5, $m(0.0999), 60)],
            'over the longest pitch' => [fn (): Layout => Box::of($m(120.1), $m(5.0))],
            'one marker' => [fn (): Layout => Zigzag::of(1, $m(4.0), 60)],
            '61 markers' => [fn (): Layout => Zigzag::of(61, $m(4.0), 60)],
            'a straight angle' => [fn (): Layout => Zigzag::of(5, $m(4.0), 19)],
            'circles that meet' => [fn (): Layout => FigureOfEight::of($m(1.0), $m(0.5), true)],
            'a level that is not there' => [fn (): Layout => WallLane::of($m(2.0), $m(3.0), $m(2.0), 3, 4)],
            'level nought' => [fn (): Layout => WallLane::of($m(2.0), $m(3.0), $m(2.0), 3, 0)],
            'unknown kind' => [fn (): Layout => LayoutKinds::standard()->read(['kind' => 'spiral'])],
            'length without a unit' => [fn (): Layout => LayoutKinds::standard()->read(['kind' => 'box', 'width' => 5, 'depth' => 5])],
            'ten kilometres' => [
                fn (): Layout => LayoutKinds::standard()->read(
                    ['kind' => 'box', 'width' => ['value' => 10000, 'unit' => 'm'], 'depth' => ['value' => 5, 'unit' => 'm']],
                ),
            ],
        ];
    }

    /** @param  callable(): Layout  $lay */
    #[DataProvider('impossible')]
    public function test_refuses_what_cannot_be_laid(callable $lay): void
    {
        $this->expectException(CoreException::class);
        $lay();
    }

    public function test_limits_themselves_can_be_laid(): void
    {
        self::assertCount(60, Zigzag::of(60, Length::ofMetres(0.1), 140)->markers());
        self::assertSame(120_000, Box::of(Length::ofMetres(120.0), Length::ofMetres(0.1))->footprint()->widthMillimetres);
    }

    public function test_no_parameter_in_range_gives_a_negative_or_endless_figure(): void
    {
        $this->forAll(
            Generators::choose(2, 60),
            Generators::choose(1, 1200),
            Generators::choose(20, 140),
        )->then(function (int $markers, int $decimetres, int $angle): void {
            $zigzag = Zigzag::of($markers, Length::ofMetres($decimetres / 10), $angle);
            foreach ([
                $zigzag->ballPath()->lengthMetres,
                $zigzag->footprint()->widthMillimetres,
                $zigzag->footprint()->depthMillimetres,
            ] as $figure) {
                self::assertTrue(is_finite($figure) && $figure >= 0);
            }
            $points = array_map(fn ($marker) => $marker->at, $zigzag->markers());
            foreach (array_slice($points, 1) as $i => $point) {
                self::assertEqualsWithDelta($decimetres / 10, $points[$i]->distanceMetres($point), 1e-6);
            }
        });
    }

    /** @return list<array{float, float}> */
    private static function corners(Layout $layout): array
    {
        return array_map(fn ($marker): array => [$marker->at->xMetres, $marker->at->yMetres], $layout->markers());
    }
}
