<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Exception\InvalidValue;
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

/** Builds a layout from the fields of a drill file. A new layout is one class and one arm here. */
final class LayoutFactory
{
    public const KINDS = [
        'boards', 'box', 'corridor', 'defender', 'facing-lines', 'figure-of-eight', 'gates', 'lane', 'line', 'pair', 'passing-rectangle', 'pattern-to-goal', 'reaction-square', 'reference', 'scatter',
        'shooting-line', 'small-field', 'targets', 'wall-lane', 'wall-turn', 'zigzag',
    ];

    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws InvalidLayout|InvalidValue If the kind is unknown, or a field is missing or cannot be laid.
     */
    public static function fromFields(array $fields): Layout
    {
        $read = new LayoutFields($fields);
        $kind = $fields['kind'] ?? null;

        return match ($kind) {
            'boards' => PassingBoards::fromFields($read),
            'box' => Box::of($read->length('width'), $read->length('depth')),
            'corridor' => Corridor::fromFields($read),
            'defender' => MarkerDefender::fromFields($read),
            'facing-lines' => FacingLines::fromFields($read),
            'figure-of-eight' => FigureOfEight::of($read->length('distance'), $read->length('radius'), $read->is('middleMarker', true)),
            'gates' => Gates::of($read->length('gateWidth'), $read->length('distance')),
            'lane' => Lane::fromFields($read),
            'line' => MarkerLine::fromFields($read),
            'pair' => Pair::fromFields($read),
            'passing-rectangle' => PassingRectangle::fromFields($read),
            'pattern-to-goal' => PatternToGoal::fromFields($read),
            'reaction-square' => ReactionSquare::fromFields($read),
            'reference' => ReferenceMarker::fromFields($read),
            'scatter' => Scatter::fromFields($read),
            'shooting-line' => ShootingLine::fromFields($read),
            'small-field' => SmallField::fromFields($read),
            'targets' => NumberedTargets::fromFields($read),
            'wall-lane' => WallLane::of($read->length('width'), $read->length('nearest'), $read->length('step'), $read->whole('levels'), $read->whole('level')),
            'wall-turn' => WallTurn::fromFields($read),
            'zigzag' => Zigzag::of($read->whole('markers'), $read->length('spacing'), $read->whole('angleDegrees')),
            default => throw InvalidLayout::because('layout.kind', 'Layout '.json_encode($kind).' is not known; use one of '.implode(', ', self::KINDS).'.'),
        };
    }
}
