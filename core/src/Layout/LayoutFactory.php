<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\Kind\Box;
use FleetSparrow\Core\Layout\Kind\Corridor;
use FleetSparrow\Core\Layout\Kind\FacingLines;
use FleetSparrow\Core\Layout\Kind\FigureOfEight;
use FleetSparrow\Core\Layout\Kind\Gates;
use FleetSparrow\Core\Layout\Kind\Lane;
use FleetSparrow\Core\Layout\Kind\MarkerDefender;
use FleetSparrow\Core\Layout\Kind\MarkerLine;
use FleetSparrow\Core\Layout\Kind\NumberedTargets;
use FleetSparrow\Core\Layout\Kind\Pair;
use FleetSparrow\Core\Layout\Kind\PassingBoards;
use FleetSparrow\Core\Layout\Kind\PassingRectangle;
use FleetSparrow\Core\Layout\Kind\PatternToGoal;
use FleetSparrow\Core\Layout\Kind\ReactionSquare;
use FleetSparrow\Core\Layout\Kind\ReferenceMarker;
use FleetSparrow\Core\Layout\Kind\Scatter;
use FleetSparrow\Core\Layout\Kind\ShootingLine;
use FleetSparrow\Core\Layout\Kind\SmallField;
use FleetSparrow\Core\Layout\Kind\WallLane;
use FleetSparrow\Core\Layout\Kind\WallTurn;
use FleetSparrow\Core\Layout\Kind\Zigzag;

/** Builds a layout from the fields of a drill file. A new layout is one class, and one line here. */
final class LayoutFactory
{
    /** @var array<string, class-string<Layout>> what each declares of itself: its name, what may be chosen, how it is read */
    public const KINDS = [
        PassingBoards::KIND => PassingBoards::class,
        Box::KIND => Box::class,
        Corridor::KIND => Corridor::class,
        MarkerDefender::KIND => MarkerDefender::class,
        FacingLines::KIND => FacingLines::class,
        FigureOfEight::KIND => FigureOfEight::class,
        Gates::KIND => Gates::class,
        Lane::KIND => Lane::class,
        MarkerLine::KIND => MarkerLine::class,
        Pair::KIND => Pair::class,
        PassingRectangle::KIND => PassingRectangle::class,
        PatternToGoal::KIND => PatternToGoal::class,
        ReactionSquare::KIND => ReactionSquare::class,
        ReferenceMarker::KIND => ReferenceMarker::class,
        Scatter::KIND => Scatter::class,
        ShootingLine::KIND => ShootingLine::class,
        SmallField::KIND => SmallField::class,
        NumberedTargets::KIND => NumberedTargets::class,
        WallLane::KIND => WallLane::class,
        WallTurn::KIND => WallTurn::class,
        Zigzag::KIND => Zigzag::class,
    ];

    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws CoreException If the kind is unknown, or a field is missing or cannot be laid.
     */
    public static function fromFields(array $fields): Layout
    {
        $kind = $fields['kind'] ?? null;
        $layout = is_string($kind) ? self::KINDS[$kind] ?? null : null;
        if ($layout === null) {
            throw InvalidLayout::because('layout.kind', 'Layout '.json_encode($kind).' is not known; use one of '.self::names().'.');
        }

        return $layout::fromFields(new LayoutFields($fields));
    }

    public static function names(): string
    {
        return implode(', ', array_keys(self::KINDS));
    }
}
