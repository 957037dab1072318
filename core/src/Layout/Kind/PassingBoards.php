<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout\Kind;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\BallPath;
use FleetSparrow\Core\Layout\DimensionLine;
use FleetSparrow\Core\Layout\Equipment;
use FleetSparrow\Core\Layout\Label;
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
 * A board in the middle of each side of a rectangle, and a smaller rectangle inside it from which passes are played. The way of
 * the ball is from the middle to a long board and back: the depth of the whole.
 *
 * Example: `PassingBoards::of(Length::ofMetres(12.0), Length::ofMetres(9.5), Length::ofMetres(4.0),
 * Length::ofMetres(2.5))->ballPath()->lengthMetres` is `9.5`.
 */
final readonly class PassingBoards implements Layout
{
    use Sketched;

    public const KIND = 'boards';

    /** @throws InvalidLayout If a length cannot be laid, or the middle does not lie within the whole. */
    public static function of(Length $width, Length $depth, Length $innerWidth, Length $innerDepth): self
    {
        Limits::length('width', $width);
        Limits::length('depth', $depth);
        Limits::length('width of the middle', $innerWidth);
        Limits::length('depth of the middle', $innerDepth);
        if (
            $innerWidth->tenthsOfMillimetre >= $width->tenthsOfMillimetre
            || $innerDepth->tenthsOfMillimetre >= $depth->tenthsOfMillimetre
        ) {
            throw InvalidLayout::at('layout.innerWidth', 'The middle must lie within the whole.');
        }

        return new self(
            [
                'width' => $width->tenthsOfMillimetre,
                'depth' => $depth->tenthsOfMillimetre,
                'innerWidth' => $innerWidth->tenthsOfMillimetre,
                'innerDepth' => $innerDepth->tenthsOfMillimetre,
            ],
            self::sketch($width, $depth, $innerWidth, $innerDepth),
        );
    }

    public static function fromFields(LayoutFields $fields): self
    {
        return self::of($fields->length('width'), $fields->length('depth'), $fields->length('innerWidth'), $fields->length('innerDepth'));
    }

    public static function chosen(): array
    {
        return [
            LayoutParameter::length('width', 'Width'),
            LayoutParameter::length('depth', 'Depth'),
            LayoutParameter::length('innerWidth', 'Middle, width'),
            LayoutParameter::length('innerDepth', 'Middle, depth'),
        ];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    private static function sketch(Length $width, Length $depth, Length $innerWidth, Length $innerDepth): Sketch
    {
        [$w, $d, $iw, $id] = [$width->metres(), $depth->metres(), $innerWidth->metres(), $innerDepth->metres()];
        $middle = new Point($w / 2, $d / 2);
        $boards = [new Point($w / 2, $d), new Point($w, $d / 2), new Point($w / 2, 0.0), new Point(0.0, $d / 2)];
        $inner = [];
        foreach ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as [$x, $y]) {
            $inner[] = Marker::blue($w / 2 + $x * $iw / 2, $d / 2 + $y * $id / 2);
        }

        return new Sketch(
            [Marker::white(0.0, 0.0), Marker::white($w, 0.0), Marker::white($w, $d), Marker::white(0.0, $d), ...$inner],
            Limits::millimetres($w),
            Limits::millimetres($d),
            BallPath::through([$middle, $boards[0], $middle]),
            dimensions: [
                new DimensionLine(new Point(0.0, 0.0), new Point($w, 0.0), $width),
                new DimensionLine(new Point($w, 0.0), new Point($w, $d), $depth),
            ],
            labels: array_map(static fn (Point $at, int $number): Label => new Label($at, (string) $number), $boards, [1, 2, 3, 4]),
            places: [new Place($middle, PlaceRole::Worker), new Place(new Point($w + 1.0, $d / 2), PlaceRole::Caller)],
            balls: [$middle],
            equipment: [Equipment::Target->value => 4],
        );
    }
}
