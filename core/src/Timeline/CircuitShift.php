<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

/** Who goes round a circuit at a time. */
final readonly class CircuitShift
{
    /**
     * @param  list<int>  $workers  whose turn it is: the circuit takes what they take, and they owe its numbers
     * @param  list<int>  $serving  who serve those at work
     * @param  list<int>  $again  at places with fewer turns than others, who begin again: their touches count, no number is owed
     */
    public function __construct(public array $workers, public array $serving = [], public array $again = [])
    {
    }
}
