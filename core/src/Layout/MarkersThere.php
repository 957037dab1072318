<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** The markers on the ground, ready to be asked which of them would do for others that are wanted. */
final readonly class MarkersThere
{
    /** More cells than any ground is wide, so that row and column fit in one number. */
    private const ROW_OF_CELLS = 1_000_003;

    /**
     * @param  list<Marker>  $markers
     * @param  array<int, list<int>>  $grid  cell → indices of the markers in it
     */
    private function __construct(private array $markers, private array $grid)
    {
    }

    /** @param  list<Marker>  $markers */
    public static function of(array $markers): self
    {
        $grid = [];
        foreach ($markers as $i => $marker) {
            $grid[self::cell($marker->at->xMetres, $marker->at->yMetres)][] = $i;
        }

        return new self($markers, $grid);
    }

    /**
     * The most pairs of a marker there and one wanted, shifted, within the slack (augmenting paths, Kuhn 1955).
     *
     * @param  list<Marker>  $wanted
     * @return array{list<int>, list<int>}
     */
    public function matched(array $wanted, float $shiftXMetres, float $shiftYMetres): array
    {
        $near = [];
        foreach ($wanted as $w => $want) {
            [$x, $y] = [$want->at->xMetres + $shiftXMetres, $want->at->yMetres + $shiftYMetres];
            $key = self::cell($x, $y);
            foreach ([-self::ROW_OF_CELLS, 0, self::ROW_OF_CELLS] as $row) {
                foreach ([-1, 0, 1] as $column) {
                    foreach ($this->grid[$key + $row + $column] ?? [] as $b) {
                        if (
                            $this->markers[$b]->colour === $want->colour
                            && hypot(
                                $this->markers[$b]->at->xMetres - $x,
                                $this->markers[$b]->at->yMetres - $y,
                            ) <= Reset::SLACK_METRES + 1e-9
                        ) {
                            $near[$w][] = $b;
                        }
                    }
                }
            }
        }
        $owner = [];
        foreach (array_keys($near) as $w) {
            $seen = [];
            self::placed($w, $near, $owner, $seen);
        }
        ksort($owner);

        return [array_keys($owner), array_values($owner)];
    }

    /**
     * @param  array<int, list<int>>  $near  wanted → markers there within the slack
     * @param  array<int, int>  $owner  marker there → wanted
     * @param  array<int, true>  $seen
     */
    private static function placed(int $wanted, array $near, array &$owner, array &$seen): bool
    {
        foreach ($near[$wanted] as $there) {
            if (! isset($seen[$there])) {
                $seen[$there] = true;
                if (! isset($owner[$there]) || self::placed($owner[$there], $near, $owner, $seen)) {
                    $owner[$there] = $wanted;

                    return true;
                }
            }
        }

        return false;
    }

    /** Cells of 5 cm and a little: what lies within the slack lies in the same cell or one beside it. */
    private static function cell(float $x, float $y): int
    {
        $size = Reset::SLACK_METRES + 1e-6;

        return self::ROW_OF_CELLS * (int) floor($y / $size) + (int) floor($x / $size);
    }
}
