<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/**
 * From one layout to the next on the same ground: which markers stay, which are moved, laid anew or lifted, so that the fewest
 * are touched. The next layout may be shifted and turned by quarters; a marker stays when it lies within 5 cm of where one of
 * its colour is wanted. One marker that stays is taken as the anchor: it stays exactly.
 *
 * touched = max(before, after) − kept.
 */
final readonly class Reset
{
    /** Nobody sees five centimetres on grass; common practice, no source. */
    public const SLACK_METRES = 0.05;

    /** More cells than any ground is wide, so that row and column fit in one number. */
    private const ROW_OF_CELLS = 1_000_003;

    private const CELLS_AROUND = [
        -self::ROW_OF_CELLS - 1, -self::ROW_OF_CELLS, -self::ROW_OF_CELLS + 1, -1, 1, self::ROW_OF_CELLS - 1, self::ROW_OF_CELLS,
        self::ROW_OF_CELLS + 1,
    ];

    /**
     * @param  list<int>  $kept  indices into the markers before
     * @param  list<Marker>  $wanted  the next layout where it comes to lie
     * @param  list<int>  $keptWanted  indices into $wanted that are there already, in the order of $kept
     */
    private function __construct(public int $before, public array $wanted, public array $kept, public array $keptWanted)
    {
    }

    /**
     * @param  list<Marker>  $before
     * @param  list<Marker>  $after
     */
    public static function between(array $before, array $after): self
    {
        $best = new self(count($before), $after, [], []);
        $most = self::sameColours($before, $after);
        $there = MarkersThere::of($before);
        foreach ([0, 1, 2, 3] as $quarters) {
            if (count($best->kept) === $most) {
                break;
            }
            $turned = $quarters === 0 ? $after : array_map(fn (Marker $marker): Marker => self::turned($marker, $quarters), $after);
            foreach (self::shifts($before, $turned, count($best->kept)) as [$x, $y, $atMost]) {
                if (min($atMost, $most) <= count($best->kept)) {
                    break;
                }
                [$kept, $keptWanted] = $there->matched($turned, $x, $y);
                if (count($kept) > count($best->kept)) {
                    $laid = array_map(
                        fn (Marker $marker): Marker => new Marker(
                            new Point($marker->at->xMetres + $x, $marker->at->yMetres + $y),
                            $marker->colour,
                            $marker->shape,
                        ),
                        $turned,
                    );
                    $best = new self(count($before), $laid, $kept, $keptWanted);
                }
            }
        }

        return $best;
    }

    /**
     * No more can be kept than there are of a colour on both sides.
     *
     * @param  list<Marker>  $before
     * @param  list<Marker>  $after
     */
    private static function sameColours(array $before, array $after): int
    {
        $colours = [[], []];
        foreach ([$before, $after] as $i => $markers) {
            foreach ($markers as $marker) {
                $colours[$i][$marker->colour] = ($colours[$i][$marker->colour] ?? 0) + 1;
            }
        }
        [$there, $wanted] = $colours;
        $most = 0;
        foreach ($there as $colour => $count) {
            $most += min($count, $wanted[$colour] ?? 0);
        }

        return $most;
    }

    /**
     * Indices into the markers before that are no longer wanted where they lie: carried while others are wanted, else lifted.
     *
     * @return list<int>
     */
    public function leaving(): array
    {
        return $this->before === 0 ? [] : array_values(array_diff(range(0, $this->before - 1), $this->kept));
    }

    /**
     * Indices into the markers wanted that are not there yet.
     *
     * @return list<int>
     */
    public function arriving(): array
    {
        return array_values(array_diff(array_keys($this->wanted), $this->keptWanted));
    }

    /** Markers somebody bends down for. */
    public function touched(): int
    {
        return max($this->before, count($this->wanted)) - count($this->kept);
    }

    /** Carried from a place where they are no longer wanted to one where they are. */
    public function moved(): int
    {
        return min($this->before, count($this->wanted)) - count($this->kept);
    }

    public function added(): int
    {
        return max(0, count($this->wanted) - $this->before);
    }

    public function lifted(): int
    {
        return max(0, $this->before - count($this->wanted));
    }

    private static function turned(Marker $marker, int $quarters): Marker
    {
        [$x, $y] = [$marker->at->xMetres, $marker->at->yMetres];
        $at = match ($quarters) {
            1 => new Point(-$y, $x),
            2 => new Point(-$x, -$y),
            default => new Point($y, -$x),
        };

        return new Marker($at, $marker->colour, $marker->shape);
    }

    /**
     * Every shift that brings one wanted marker onto one of its colour, the most promising first. That one is the anchor, and a
     * marker stays with it only if its own shift is within the slack of the anchor's: so those near it bound what a shift keeps.
     *
     * @param  list<Marker>  $before
     * @param  list<Marker>  $after
     * @param  int  $least  what is kept already: shifts that cannot keep more are left out
     * @return list<array{float, float, int}> x, y, and the most it can keep
     */
    private static function shifts(array $before, array $after, int $least): array
    {
        $cells = [];
        $slack = self::SLACK_METRES + 1e-9;
        foreach ($before as $there) {
            foreach ($after as $wanted) {
                if ($there->colour === $wanted->colour) {
                    [$x, $y] = [$there->at->xMetres - $wanted->at->xMetres, $there->at->yMetres - $wanted->at->yMetres];
                    $cells[self::ROW_OF_CELLS * (int) floor($y / $slack) + (int) floor($x / $slack)][] = [$x, $y];
                }
            }
        }
        $bounded = [];
        foreach ($cells as $key => $here) {
            // Cells are as wide as the slack, so what is near lies in the same cell or one beside it.
            $near = $here;
            foreach (self::CELLS_AROUND as $step) {
                if (isset($cells[$key + $step])) {
                    $near = [...$near, ...$cells[$key + $step]];
                }
            }
            foreach (count($near) > $least ? $here : [] as [$x, $y]) {
                $atMost = 0;
                foreach ($near as [$nearX, $nearY]) {
                    $atMost += abs($nearX - $x) <= $slack && abs($nearY - $y) <= $slack ? 1 : 0;
                }
                if ($atMost > $least) {
                    $bounded[] = [$x, $y, $atMost];
                }
            }
        }
        usort($bounded, fn (array $a, array $b): int => [$b[2], $a[0], $a[1]] <=> [$a[2], $b[0], $b[1]]);

        return $bounded;
    }
}
