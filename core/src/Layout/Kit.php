<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** What stations of a layout need, by kind and colour. */
final readonly class Kit
{
    /**
     * @param  array<string, int>  $markersByColour
     * @param  array<string, int>  $equipment  `Equipment` value → count
     */
    private function __construct(public array $markersByColour, public array $equipment)
    {
    }

    /** @param  int  $inPlay  balls that are worked with at once, where the layout alone does not say: a ball each in one box */
    public static function of(Layout $layout, int $stations, int $inPlay = 0): self
    {
        $markers = [];
        foreach ($layout->markers() as $marker) {
            $markers[$marker->colour] = ($markers[$marker->colour] ?? 0) + $stations;
        }
        ksort($markers);
        $equipment = array_map(fn (int $count): int => $count * $stations, $layout->equipment());
        $balls = $layout->balls() === [] ? 0 : max($inPlay, count($layout->balls()) * $stations);

        return new self($markers, ($balls > 0 ? [Equipment::Ball->value => $balls] : []) + $equipment);
    }

    public function withoutBalls(): self
    {
        return new self($this->markersByColour, array_diff_key($this->equipment, [Equipment::Ball->value => 0]));
    }

    /** Both on the ground at once. */
    public function plus(self $other): self
    {
        return new self(self::sum($this->markersByColour, $other->markersByColour), self::sum($this->equipment, $other->equipment));
    }

    /** Whether what one needs is just what the other needs. */
    public function equals(self $other): bool
    {
        $sorted = static function (array $counts): array {
            ksort($counts);

            return $counts;
        };

        return $sorted($this->markersByColour) === $sorted($other->markersByColour)
            && $sorted($this->equipment) === $sorted($other->equipment);
    }

    /**
     * @param  array<string, int>  $one
     * @param  array<string, int>  $more
     * @return array<string, int>
     */
    private static function sum(array $one, array $more): array
    {
        foreach ($more as $what => $count) {
            $one[$what] = ($one[$what] ?? 0) + $count;
        }

        return $one;
    }

    public function markers(): int
    {
        return array_sum($this->markersByColour);
    }
}
