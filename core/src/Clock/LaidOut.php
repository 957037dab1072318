<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

use FleetSparrow\Core\Layout\Layout;
use SplObjectStorage;

/** What was laid out before while a plan is worked out: layouts live as long as the plan, so each change is looked at once. */
final class LaidOut
{
    /**
     * @var SplObjectStorage<Layout, list<array{Layout|null, int, int, SetUp}>> layout → what lay before, stations of both, what it takes
     */
    private readonly SplObjectStorage $known;

    public function __construct()
    {
        $this->known = new SplObjectStorage;
    }

    public function of(Layout $layout, int $stations, ?Layout $before, int $stationsBefore): SetUp
    {
        $known = $this->known->contains($layout) ? $this->known[$layout] : [];
        foreach ($known as [$ground, $here, $there, $setUp]) {
            if ($ground === $before && $here === $stations && $there === $stationsBefore) {
                return $setUp;
            }
        }
        $setUp = SetUp::of($layout, $stations, $before, $stationsBefore);
        $this->known[$layout] = [...$known, [$before, $stations, $stationsBefore, $setUp]];

        return $setUp;
    }
}
