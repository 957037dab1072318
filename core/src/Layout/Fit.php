<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Shared\Length;

/**
 * How many stations stand in an area, on one grid in the better of two orientations. Mixed packings can beat a grid, so the
 * figure means "at least". In whole tenths of a millimetre, which yards, feet and metres all come to exactly: floats, and
 * yards rounded to millimetres, lose stations at exact fits.
 *
 * floor((W + c) ÷ (w + c)) · floor((D + c) ÷ (d + c)), c being the gap between stations.
 */
final readonly class Fit
{
    private function __construct(public int $columns, public int $rows)
    {
    }

    /**
     * Example: `Fit::of(Length::ofMetres(10.0), Length::ofMetres(8.0), Length::ofMetres(3.0), Length::ofMetres(3.0),
     * Length::ofMetres(1.0))->stations()` is `4`.
     *
     * @param  Length  $gap  between one station and the next
     */
    public static function of(Length $areaWidth, Length $areaDepth, Length $width, Length $depth, Length $gap): self
    {
        $upright = new self(self::along($areaWidth, $width, $gap), self::along($areaDepth, $depth, $gap));
        $turned = new self(self::along($areaWidth, $depth, $gap), self::along($areaDepth, $width, $gap));

        return $turned->stations() > $upright->stations() ? $turned : $upright;
    }

    public function stations(): int
    {
        return $this->columns * $this->rows;
    }

    private static function along(Length $room, Length $each, Length $gap): int
    {
        $tenths = $each->tenthsOfMillimetre;

        return $tenths > $room->tenthsOfMillimetre
            ? 0
            : intdiv($room->tenthsOfMillimetre + $gap->tenthsOfMillimetre, max(1, $tenths + $gap->tenthsOfMillimetre));
    }
}
