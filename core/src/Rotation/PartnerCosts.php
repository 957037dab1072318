<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

/** What it costs to put players together again, by their places in a list. */
final readonly class PartnerCosts
{
    /**
     * @param  array<int, array<int, float>>  $weights  of two, infinite with oneself
     * @param  list<float>  $threes  of the threes each was in
     */
    private function __construct(public array $weights, public array $threes)
    {
    }

    /** @param  list<int>  $players */
    public static function of(array $players, Meetings $meetings): self
    {
        return new self($meetings->weights($players), array_map($meetings->threeWeight(...), $players));
    }

    /** @param  list<int>  $three  places */
    public function three(array $three): float
    {
        [$a, $b, $c] = $three;

        return $this->weights[$a][$b] + $this->weights[$a][$c] + $this->weights[$b][$c]
            + $this->threes[$a] + $this->threes[$b] + $this->threes[$c];
    }
}
