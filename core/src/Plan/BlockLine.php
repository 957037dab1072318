<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\Task;
use FleetSparrow\Core\Shared\Side;

/** A record line that a block can bring numbers for. */
final readonly class BlockLine
{
    /**
     * @param  int|null  $item  of a circuit, from 0
     * @param  string|null  $itemName  of a circuit's item
     */
    public function __construct(
        public Side $side,
        public Task $task,
        public MarkKind $kind,
        public ?int $item = null,
        public ?string $itemName = null,
    ) {
    }
}
