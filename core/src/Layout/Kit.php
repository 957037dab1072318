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

    public static function of(Layout $layout, int $stations): self
    {
        $markers = [];
        foreach ($layout->markers() as $marker) {
            $markers[$marker->colour] = ($markers[$marker->colour] ?? 0) + $stations;
        }
        ksort($markers);
        $equipment = array_map(fn (int $count): int => $count * $stations, $layout->equipment());
        $balls = count($layout->balls()) * $stations;

        return new self($markers, ($balls > 0 ? [Equipment::Ball->value => $balls] : []) + $equipment);
    }

    public function markers(): int
    {
        return array_sum($this->markersByColour);
    }
}
