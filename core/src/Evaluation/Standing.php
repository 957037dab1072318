<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Layout\Layout;

/** What stands on the ground when a block begins. */
final readonly class Standing
{
    /** @param  Layout|null  $layout  of one station; null where nothing stands */
    public function __construct(public ?Layout $layout = null, public int $stations = 0)
    {
    }

    public function isLike(self $other): bool
    {
        return $this->layout === $other->layout && $this->stations === $other->stations;
    }
}
