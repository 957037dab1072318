<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Layout\Fit;
use FleetSparrow\Core\Layout\Footprint;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;

/** The corner of the field a squad has, in the unit it is spoken of. */
final readonly class Area
{
    public function __construct(public Length $width, public Length $depth, public LengthUnit $unit)
    {
    }

    /** Stations sure to fit on one grid, the clearance of a station between one and the next. */
    public function stations(Footprint $station): int
    {
        // Half a millimetre less: a footprint is rounded to millimetres, and an exact fit must stay one.
        $bare = fn (int $millimetres): Length => Length::ofMetres(max(0.0, $millimetres - 0.5) / 1000);

        return Fit::of(
            $this->width,
            $this->depth,
            $bare($station->widthMillimetres),
            $bare($station->depthMillimetres),
            Length::ofMetres($station->clearanceMillimetres / 1000),
        )->stations();
    }

    public function words(): string
    {
        return sprintf(
            '%g by %g %s',
            $this->width->in($this->unit),
            $this->depth->in($this->unit),
            $this->unit === LengthUnit::Pace ? 'paces' : $this->unit->value,
        );
    }
}
