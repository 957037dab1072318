<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Layout;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Layout\Fit;
use FleetSparrow\Core\Layout\Kind\Box;
use FleetSparrow\Core\Layout\Kind\Scatter;
use FleetSparrow\Core\Layout\Marker;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Layout\Reset;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ResetTest extends TestCase
{
    use TestTrait;

    /** @return array<string, array{list<float>, LengthUnit, int}> area, station, gap; stations */
    public static function areas(): array
    {
        return [
            // 3 · 4 + 2 · 3 = 18: an exact fit, which floats lose, and yards rounded to millimetres too.
            'an exact fit in yards' => [[18.0, 18.0, 4.0, 4.0, 3.0], LengthUnit::Yard, 9],
            'a tenth of a foot short' => [[53.9, 54.0, 12.0, 12.0, 9.0], LengthUnit::Foot, 6],
            'better turned' => [[10.0, 3.0, 3.0, 10.0, 0.5], LengthUnit::Metre, 1],
            'two rows turned' => [[12.0, 6.0, 5.0, 2.0, 1.0], LengthUnit::Metre, 4],
            'no gap' => [[10.0, 10.0, 5.0, 5.0, 0.0], LengthUnit::Metre, 4],
            'too wide' => [[3.9999, 4.0, 4.0, 4.0, 0.0], LengthUnit::Metre, 0],
        ];
    }

    /** @param  list<float>  $lengths */
    #[DataProvider('areas')]
    public function test_stations_in_an_area(array $lengths, LengthUnit $unit, int $stations): void
    {
        self::assertSame($stations, Fit::of(...array_map(fn (float $one): Length => Length::of($one, $unit), $lengths))->stations());
    }

    public function test_as_many_fit_as_counting_them_one_by_one_gives(): void
    {
        $this->forAll(
            Generators::choose(1, 60),
            Generators::choose(1, 60),
            Generators::choose(1, 20),
            Generators::choose(1, 20),
            Generators::choose(0, 5),
        )->then(function (int ...$metres): void {
            [$areaWidth, $areaDepth, $width, $depth, $gap] = $metres;
            $count = function (int $room, int $each) use ($gap): int {
                $fits = 0;
                for ($end = $each; $end <= $room; $end += $each + $gap) {
                    $fits++;
                }

                return $fits;
            };
            $byHand = max($count($areaWidth, $width) * $count($areaDepth, $depth), $count($areaWidth, $depth) * $count($areaDepth, $width));
            self::assertSame($byHand, Fit::of(...array_map(fn (int $one): Length => Length::ofMetres((float) $one), $metres))->stations());
        });
    }

    public function test_the_same_layout_elsewhere_or_turned_is_touched_nowhere(): void
    {
        $box = Box::of(Length::ofMetres(4.0), Length::ofMetres(3.0))->markers();
        $turned = Box::of(Length::ofMetres(3.0), Length::ofMetres(4.0))->markers();

        self::assertSame([0, 0, 0, 0], self::counts(Reset::between($box, self::shifted($box, 7.0, -2.0))));
        self::assertSame([0, 0, 0, 0], self::counts(Reset::between($box, $turned)));
    }

    public function test_a_longer_box_keeps_two_and_moves_two(): void
    {
        $short = Box::of(Length::ofMetres(4.0), Length::ofMetres(3.0))->markers();
        $long = Box::of(Length::ofMetres(6.0), Length::ofMetres(3.0))->markers();

        self::assertSame([2, 2, 0, 0], self::counts(Reset::between($short, $long)));
    }

    public function test_a_line_of_five_after_one_of_three_adds_two(): void
    {
        $line = fn (int $n): array => array_map(fn (int $i): Marker => Marker::white($i * 2.0, 0.0), range(0, $n - 1));

        self::assertSame([2, 0, 2, 0], self::counts(Reset::between($line(3), $line(5))));
        self::assertSame([2, 0, 0, 2], self::counts(Reset::between($line(5), $line(3))));
    }

    public function test_another_colour_does_not_do_and_five_centimetres_do(): void
    {
        $red = [new Marker(new Point(0.0, 0.0), 'red', Marker::white(0.0, 0.0)->shape)];
        self::assertSame([1, 1, 0, 0], self::counts(Reset::between($red, [Marker::white(0.0, 0.0)])));

        $pair = fn (float $apart): array => [Marker::white(0.0, 0.0), Marker::white($apart, 0.0)];
        self::assertSame(0, Reset::between($pair(2.0), $pair(2.05))->touched());
        self::assertSame(1, Reset::between($pair(2.0), $pair(2.051))->touched());
    }

    public function test_nothing_before_or_nothing_after(): void
    {
        $box = Box::of(Length::ofMetres(4.0), Length::ofMetres(3.0))->markers();

        self::assertSame([4, 0, 4, 0], self::counts(Reset::between([], $box)));
        self::assertSame([4, 0, 0, 4], self::counts(Reset::between($box, [])));
    }

    public function test_as_few_as_trying_every_turn_anchor_and_pairing_gives(): void
    {
        $markers = Generators::map(
            fn (array $numbers): array => array_map(
                fn (int $number): Marker => $number % 3 === 0 ? Marker::blue(
                    $number % 4 + 0.03 * ($number % 2),
                    intdiv($number, 4) % 4,
                ) : Marker::white($number % 4, intdiv($number, 4) % 4 + 0.03 * ($number % 2)),
                array_values(array_unique($numbers)),
            ),
            Generators::seq(Generators::choose(0, 15)),
        );
        $this->limitTo(150)->forAll($markers, $markers)->then(function (array $before, array $after): void {
            $before = array_slice($before, 0, 5);
            $after = array_slice($after, 0, 5);
            $reset = Reset::between($before, $after);
            self::assertSame(self::bruteForce($before, $after), $reset->touched());
            self::assertLessThanOrEqual(max(count($before), count($after)), $reset->touched());
            foreach ($reset->kept as $i => $kept) {
                self::assertLessThanOrEqual(0.0500001, $before[$kept]->at->distanceMetres($reset->wanted[$reset->keptWanted[$i]]->at));
            }
        });
    }

    /** @return array{int, int, int, int} touched, moved, added, lifted */
    private static function counts(Reset $reset): array
    {
        return [$reset->touched(), $reset->moved(), $reset->added(), $reset->lifted()];
    }

    /**
     * @param  list<Marker>  $markers
     * @return list<Marker>
     */
    private static function shifted(array $markers, float $x, float $y): array
    {
        return array_map(
            fn (Marker $marker): Marker => new Marker(
                new Point($marker->at->xMetres + $x, $marker->at->yMetres + $y),
                $marker->colour,
                $marker->shape,
            ),
            $markers,
        );
    }

    /**
     * @param  list<Marker>  $before
     * @param  list<Marker>  $after
     */
    private static function bruteForce(array $before, array $after): int
    {
        $most = 0;
        foreach ([[1, 0], [0, 1], [-1, 0], [0, -1]] as [$cos, $sin]) {
            $turned = array_map(
                fn (Marker $marker): Marker => new Marker(
                    new Point(
                        $cos * $marker->at->xMetres - $sin * $marker->at->yMetres,
                        $sin * $marker->at->xMetres + $cos * $marker->at->yMetres,
                    ),
                    $marker->colour,
                    $marker->shape,
                ),
                $after,
            );
            foreach ($before as $there) {
                foreach ($turned as $wanted) {
                    if ($there->colour === $wanted->colour) {
                        $laid = self::shifted(
                            $turned,
                            $there->at->xMetres - $wanted->at->xMetres,
                            $there->at->yMetres - $wanted->at->yMetres,
                        );
                        $most = max($most, self::mostPairs($before, $laid));
                    }
                }
            }
        }

        return max(count($before), count($after)) - $most;
    }

    /**
     * Tries every pairing.
     *
     * @param  list<Marker>  $before
     * @param  list<Marker>  $laid
     */
    private static function mostPairs(array $before, array $laid): int
    {
        if ($before === [] || $laid === []) {
            return 0;
        }
        $first = array_shift($before);
        $most = self::mostPairs($before, $laid);
        foreach ($laid as $i => $wanted) {
            if (
                $wanted->colour === $first->colour
                && hypot($first->at->xMetres - $wanted->at->xMetres, $first->at->yMetres - $wanted->at->yMetres) <= 0.05 + 1e-9
            ) {
                $most = max($most, 1 + self::mostPairs($before, array_values(array_diff_key($laid, [$i => true]))));
            }
        }

        return $most;
    }

    public function test_every_marker_stays_or_leaves_and_every_one_wanted_stays_or_arrives(): void
    {
        foreach ([[1, 12, 2, 9], [3, 5, 4, 14], [7, 8, 7, 8]] as [$seedBefore, $before, $seedAfter, $after]) {
            $there = Scatter::of($before, Length::ofMetres(6.0), Length::ofMetres(6.0), $seedBefore)->markers();
            $reset = Reset::between($there, Scatter::of($after, Length::ofMetres(6.0), Length::ofMetres(6.0), $seedAfter)->markers());

            self::assertEqualsCanonicalizing(range(0, $before - 1), [...$reset->kept, ...$reset->leaving()]);
            self::assertEqualsCanonicalizing(range(0, $after - 1), [...$reset->keptWanted, ...$reset->arriving()]);
            self::assertSame(count($reset->leaving()), $reset->moved() + $reset->lifted());
            self::assertSame(count($reset->arriving()), $reset->moved() + $reset->added());
        }
    }
}
