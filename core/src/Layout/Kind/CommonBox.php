<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\DimensionLine;
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

/**
 * One box for as many as come, a ball each: a square of room a head, so √n times as long a side for n players.
 *
 * Example: `CommonBox::of(Length::ofMetres(3.0))->forPeople(16)->footprint()->widthMillimetres` is `12000`.
 */
final readonly class CommonBox implements Layout
{
    use Sketched;

    public const KIND = 'shared-box';

    /** Nobody comes to a drill that is only looked at: it is drawn for so many. */
    private const DRAWN_FOR = 6;

    /** @throws InvalidLayout If the length is outside 0.1 to 120 m. */
    public static function of(Length $head): self
    {
        Limits::length('side of the room a head', $head);

        return self::around($head, self::DRAWN_FOR);
    }

    public static function fromFields(LayoutFields $read): self
    {
        return self::of($read->length('head'));
    }

    public static function chosen(): array
    {
        return [LayoutParameter::length('head', 'Room a head, each side')];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function forPeople(int $people): self
    {
        return self::around(Length::ofMetres($this->parameters['head'] / 10_000), $people);
    }

    private static function around(Length $head, int $people): self
    {
        $side = sqrt(max(1, $people)) * $head->metres();
        $corners = [new Point(0.0, 0.0), new Point($side, 0.0), new Point($side, $side), new Point(0.0, $side)];
        $standing = self::standing($side, max(1, $people));

        return new self(['head' => $head->tenthsOfMillimetre], new Sketch(
            array_map(static fn (Point $at): Marker => Marker::white($at->xMetres, $at->yMetres), $corners),
            Limits::millimetres($side),
            Limits::millimetres($side),
            // A head's own room: the whole goes by who comes.
            dimensions: [new DimensionLine($corners[0], new Point($head->metres(), 0.0), $head)],
            places: [new Place($standing[0] ?? $corners[0], PlaceRole::Worker)],
            balls: $standing,
        ));
    }

    /** @return list<Point> as evenly as rows allow */
    private static function standing(float $side, int $people): array
    {
        $rows = (int) ceil(sqrt($people));
        $points = [];
        for ($i = 0; $i < $people; $i++) {
            $inRow = min($rows, $people - $rows * intdiv($i, $rows));
            $points[] = new Point(
                $side * ($i % $rows + 0.5) / $inRow,
                $side * (intdiv($i, $rows) + 0.5) / ceil($people / $rows),
            );
        }

        return $points;
    }
}
