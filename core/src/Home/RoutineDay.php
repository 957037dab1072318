<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

/** One day of a routine. */
final readonly class RoutineDay
{
    /**
     * @param  int  $number  1, 2 … of the week
     * @param  list<RoutineItem>  $items
     * @param  float  $minutes  with pauses and water
     */
    public function __construct(public int $number, public bool $isOtherFoot, public array $items, public float $minutes)
    {
    }
}
