<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

use FleetSparrow\Core\Layout\Layout;

/** What was laid out before while a plan is worked out: layouts live as long as the plan, so each change is looked at once. */
final class LaidOut
{
    /** @var array<string, SetUp> */
    private array $known = [];

    public function of(Layout $layout, int $stations, ?Layout $before, int $stationsBefore): SetUp
    {
        $key = spl_object_id($layout).' '.($before === null ? '' : spl_object_id($before))." {$stations} {$stationsBefore}";

        return $this->known[$key] ??= SetUp::of($layout, $stations, $before, $stationsBefore);
    }
}
