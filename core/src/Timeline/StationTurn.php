<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

/** Who is at one station in one turn of a round. */
final readonly class StationTurn
{
    /**
     * @param  string  $blockId  of the station
     * @param  list<int>  $players  ids
     */
    public function __construct(public string $blockId, public array $players)
    {
    }
}
