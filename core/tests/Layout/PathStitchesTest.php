<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Layout;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Layout\Kind\MarkerLine;
use FleetSparrow\Core\Layout\Kind\ReactionSquare;
use FleetSparrow\Core\Layout\Kind\Zigzag;
use FleetSparrow\Core\Layout\PathStitch;
use FleetSparrow\Core\Layout\PathStitches;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\TestCase;

final class PathStitchesTest extends TestCase
{
    use TestTrait;

    public function test_touches_stand_at_even_distances_with_their_foot_and_direction(): void
    {
        // Five markers 2 m apart: 8 m, the two touches four times over, one every metre.
        $line = MarkerLine::of(5, Length::ofMetres(2.0));
        $stitches = PathStitches::along(
            $line->ballPath(),
            Script::fromText('(a.in/across b.out/fwd)x+')->resolved(Foot::Right),
            $line->timesAlongPath(),
        );

        self::assertSame(
            [0.5, 1.5, 2.5, 3.5, 4.5, 5.5, 6.5, 7.5],
            array_map(fn (PathStitch $one): float => round($one->at->xMetres, 9), $stitches),
        );
        self::assertSame(
            ['R in', 'L out', 'R in', 'L out'],
            array_map(fn (PathStitch $one): string => "{$one->foot->value} {$one->surface->value}", array_slice($stitches, 0, 4)),
        );
        self::assertSame([0.0], array_values(array_unique(array_map(fn (PathStitch $one): float => $one->radians, $stitches))));
    }

    public function test_there_and_back_turns_round(): void
    {
        // From the middle of 4 × 4 to the first corner and back: two touches, one each way.
        $stitches = PathStitches::along(ReactionSquare::of(Length::ofMetres(4.0))->ballPath(), Script::fromText('(R.in L.in)x+'), 1);

        self::assertEqualsWithDelta(
            [1.0, 1.0, 1.0, 1.0],
            [$stitches[0]->at->xMetres, $stitches[0]->at->yMetres, $stitches[1]->at->xMetres, $stitches[1]->at->yMetres],
            1e-9,
        );
        self::assertEqualsWithDelta(M_PI, abs($stitches[0]->radians - $stitches[1]->radians), 1e-9);
    }

    public function test_nothing_is_drawn_without_a_way_or_without_a_touch_or_beyond_what_can_be_read(): void
    {
        $path = MarkerLine::of(5, Length::ofMetres(2.0))->ballPath();

        self::assertSame([], PathStitches::along(null, Script::fromText('(R.in)x+'), 1));
        self::assertSame([], PathStitches::along($path, Script::fromText('(R*step L*step)x+'), 4));
        // A pass is struck where the player stands.
        self::assertSame([], PathStitches::along($path, Script::fromText('R.in!first L.in!pass'), 1));
        self::assertCount(80, PathStitches::along($path, Script::fromText('(R.in)x+'), 80));
        self::assertSame([], PathStitches::along($path, Script::fromText('(R.in)x+'), 81));
    }

    public function test_as_many_as_the_tally_and_all_on_the_way(): void
    {
        $this->forAll(
            Generators::choose(2, 12),
            Generators::elements(['(a.in b.out)x+', '(a.sole/out)x+ a.sole/still', '(a.in/across)x2 (a.out/out b.in)x+']),
        )->then(function (int $markers, string $text): void {
            $zigzag = Zigzag::of($markers, Length::ofMetres(3.0), 60);
            $script = Script::fromText($text)->resolved(Foot::Left);
            $stitches = PathStitches::along($zigzag->ballPath(), $script, $zigzag->timesAlongPath());
            self::assertCount((int) Tally::of($script, $zigzag->timesAlongPath())->contacts(), $stitches);
            $points = $zigzag->ballPath()->points;
            foreach ($stitches as $stitch) {
                $detours = array_map(
                    fn (int $i): float => $points[$i]->distanceMetres($stitch->at) + $stitch->at->distanceMetres($points[$i + 1])
                        - $points[$i]->distanceMetres($points[$i + 1]),
                    range(0, count($points) - 2),
                );
                self::assertEqualsWithDelta(0.0, min($detours), 1e-9);
            }
        });
    }
}
