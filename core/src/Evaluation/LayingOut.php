<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Clock\LaidOut;
use FleetSparrow\Core\Clock\Laying;
use FleetSparrow\Core\Clock\SetUp;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Plan\PlanContext;

/** Chooses how a layout gets onto the ground: before the start, by a helper meanwhile, or while everybody waits; whatever costs least. */
final readonly class LayingOut
{
    public function __construct(private PlanContext $context, private LaidOut $laid)
    {
    }

    public function of(Layout $layout, int $stations, Standing $ground): Laying
    {
        $each = $this->context->rules->markerSeconds;
        if ($layout->markers() === []) {
            return Laying::between($this->setUp($layout, $stations, new Standing), $each);
        }
        $setUp = $this->setUp($layout, $stations, $ground);
        if ($ground->isUntouched && $this->context->isLaidBefore) {
            return Laying::before($setUp);
        }
        $best = Laying::between($setUp, $each);
        $factor = $this->context->rules->setUp->factor;
        foreach ($this->helped($layout, $stations, $ground, $setUp) as $helped) {
            $best = $helped->seconds($factor) < $best->seconds($factor) ? $helped : $best;
        }

        return $best;
    }

    /** @return list<Laying> in a break on the same ground, or beside it where there is room and there are markers for both */
    private function helped(Layout $layout, int $stations, Standing $ground, SetUp $setUp): array
    {
        $each = $this->context->rules->markerSeconds;
        $helped = [];
        $break = $this->context->helpers > 0 ? $ground->breakSeconds : 0.0;
        if ($break > 0.0) {
            $helped[] = Laying::meanwhile($setUp, $each, $break, isBeside: false);
        }
        if ($ground->isHelped && $this->isRoom($layout, $stations, $ground)) {
            $anew = $this->setUp($layout, $stations, new Standing);
            $helped[] = Laying::meanwhile($anew, $each, $ground->drillSeconds + $break, isBeside: true);
        }

        return $helped;
    }

    private function isRoom(Layout $layout, int $stations, Standing $ground): bool
    {
        $there = $ground->layout === null ? 0 : count($ground->layout->markers()) * $ground->stations;
        $owned = $this->context->kit->markers;

        return $ground->roomTaken + Standing::share($layout, $stations, $this->context) <= 1.0
            && ($owned === null || $there + count($layout->markers()) * $stations <= $owned);
    }

    private function setUp(Layout $layout, int $stations, Standing $ground): SetUp
    {
        return $this->laid->of($layout, $stations, $ground->layout, $ground->stations);
    }
}
