<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Layout\Kind\Box;
use FleetSparrow\Core\Layout\Kind\CommonBox;
use FleetSparrow\Core\Layout\Kind\Corridor;
use FleetSparrow\Core\Layout\Kind\FacingLines;
use FleetSparrow\Core\Layout\Kind\FigureOfEight;
use FleetSparrow\Core\Layout\Kind\Gates;
use FleetSparrow\Core\Layout\Kind\Lane;
use FleetSparrow\Core\Layout\Kind\MarkerDefender;
use FleetSparrow\Core\Layout\Kind\MarkerLine;
use FleetSparrow\Core\Layout\Kind\NumberedTargets;
use FleetSparrow\Core\Layout\Kind\OnTheSpot;
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

/**
 * The kinds of layout there are, and what may be chosen of each: for reading a file field by field, for its schema, and for changing a
 * drill in place. A new layout is one class, and one line here.
 */
final readonly class LayoutKinds
{
    private const STANDARD = [
        PassingBoards::KIND => PassingBoards::class,
        Box::KIND => Box::class,
        Corridor::KIND => Corridor::class,
        MarkerDefender::KIND => MarkerDefender::class,
        FacingLines::KIND => FacingLines::class,
        FigureOfEight::KIND => FigureOfEight::class,
        Gates::KIND => Gates::class,
        Lane::KIND => Lane::class,
        MarkerLine::KIND => MarkerLine::class,
        OnTheSpot::KIND => OnTheSpot::class,
        Pair::KIND => Pair::class,
        PassingRectangle::KIND => PassingRectangle::class,
        PatternToGoal::KIND => PatternToGoal::class,
        ReactionSquare::KIND => ReactionSquare::class,
        ReferenceMarker::KIND => ReferenceMarker::class,
        Scatter::KIND => Scatter::class,
        CommonBox::KIND => CommonBox::class,
        ShootingLine::KIND => ShootingLine::class,
        SmallField::KIND => SmallField::class,
        NumberedTargets::KIND => NumberedTargets::class,
        WallLane::KIND => WallLane::class,
        WallTurn::KIND => WallTurn::class,
        Zigzag::KIND => Zigzag::class,
    ];

    /** @param  non-empty-array<string, class-string<Layout>>  $classes  by the name files use */
    private function __construct(private array $classes)
    {
    }

    public static function standard(): self
    {
        return new self(self::STANDARD);
    }

    /** @param  class-string<Layout>  $class */
    public function with(string $kind, string $class): self
    {
        return new self([...$this->classes, $kind => $class]);
    }

    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws CoreException If the kind is unknown, or a field is missing or cannot be laid.
     */
    public function read(array $fields): Layout
    {
        $kind = $fields['kind'] ?? null;
        $layout = is_string($kind) ? $this->classes[$kind] ?? null : null;
        if ($layout === null) {
            throw InvalidLayout::at('layout.kind', 'Layout '.json_encode($kind)." is not known; use one of {$this->names()}.");
        }

        return $layout::fromFields(new LayoutFields($fields));
    }

    /** @return non-empty-array<string, list<LayoutParameter>> kind → what may be chosen of it */
    public function parameters(): array
    {
        return array_map(static fn (string $layout): array => $layout::chosen(), $this->classes);
    }

    /** @return list<LayoutParameter>|null null for a kind that is not known */
    public function tryParameters(string $kind): ?array
    {
        $layout = $this->classes[$kind] ?? null;

        return $layout === null ? null : $layout::chosen();
    }

    /**
     * Every fault of a layout's fields, by the name of the field.
     *
     * @param  array<array-key, mixed>  $fields
     * @return array<string, string> field → sentence
     */
    public function faults(array $fields): array
    {
        $kind = $fields['kind'] ?? null;
        $parameters = is_string($kind) ? $this->tryParameters($kind) : null;
        if ($parameters === null) {
            return ['kind' => "The layout is not known; use one of {$this->names()}."];
        }
        $read = new LayoutFields($fields);
        $faults = [];
        foreach ($parameters as $parameter) {
            try {
                match ($parameter->type) {
                    'length' => Limits::length($parameter->name, $read->length($parameter->name)),
                    'whole' => $parameter->held($read->whole($parameter->name)),
                    default => $read->is($parameter->name, true),
                };
            } catch (CoreException $fault) {
                $faults[$parameter->name] = $fault->getMessage();
            }
        }
        foreach (array_keys(
            array_diff_key(
                $fields,
                array_flip(['kind', ...array_map(static fn (LayoutParameter $one): string => $one->name, $parameters)]),
            ),
        ) as $unknown) {
            $faults[(string) $unknown] = "A layout of the kind {$kind} has no \"{$unknown}\".";
        }

        return $faults;
    }

    private function names(): string
    {
        return implode(', ', array_keys($this->classes));
    }
}
