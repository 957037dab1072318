<?php

declare(strict_types=1);

namespace Tests\Feature;

use FleetSparrow\Core\Layout\HoldsNumbers;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\LayoutFields;
use FleetSparrow\Core\Layout\LayoutParameter;
use FleetSparrow\Core\Layout\Limits;
use FleetSparrow\Core\Layout\Marker;
use FleetSparrow\Core\Layout\Place;
use FleetSparrow\Core\Layout\PlaceRole;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Layout\Sketch;
use FleetSparrow\Core\Layout\Sketched;
use FleetSparrow\Core\Shared\Length;

/** A layout the product does not have: markers on a ring. All that one more kind takes. */
final readonly class RingLayout implements Layout
{
    use HoldsNumbers;
    use Sketched;

    public static function chosen(): array
    {
        return [LayoutParameter::length('radius', 'Radius'), LayoutParameter::whole('markers', 'Markers', 3, 12)];
    }

    public static function fromFields(LayoutFields $read): self
    {
        $radius = Limits::length('ring radius', $read->length('radius'));
        $count = self::held('markers', $read->whole('markers'));

        return new self(['radius' => $radius->tenthsOfMillimetre, 'markers' => $count], self::sketch($radius, $count));
    }

    public function kind(): string
    {
        return 'ring';
    }

    private static function sketch(Length $radius, int $count): Sketch
    {
        $r = $radius->metres();
        $marker = static fn (int $i): Marker => Marker::white($r + $r * cos(2 * M_PI * $i / $count), $r + $r * sin(2 * M_PI * $i / $count));
        $middle = new Point($r, $r);

        return new Sketch(
            array_map($marker, range(1, $count)),
            Limits::millimetres(2 * $r),
            Limits::millimetres(2 * $r),
            places: [new Place($middle, PlaceRole::Worker)],
            balls: [$middle],
        );
    }
}
