<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\InvalidLayout;

/** What may be chosen of each kind of layout: for checking a file field by field, for its schema, and for changing a drill in place. */
final class LayoutParameters
{
    /** @var array<string, list<LayoutParameter>>|null made once; the list never changes */
    private static ?array $all = null;

    /**
     * @return list<LayoutParameter>
     *
     * @throws InvalidLayout If the kind is unknown.
     */
    public static function of(string $kind): array
    {
        return self::all()[$kind] ?? throw InvalidLayout::because('layout.kind', "Layout \"{$kind}\" is not known; use one of ".implode(', ', LayoutFactory::KINDS).'.');
    }

    /** @return array<string, list<LayoutParameter>> kind → parameters, in the order a coach would pace them out */
    public static function all(): array
    {
        return self::$all ??= self::make();
    }

    /** @return array<string, list<LayoutParameter>> */
    private static function make(): array
    {
        $width = LayoutParameter::length('width', 'Width');
        $depth = LayoutParameter::length('depth', 'Depth');
        $distance = LayoutParameter::length('distance', 'Distance');
        $spacing = LayoutParameter::length('spacing', 'Spacing');

        return [
            'boards' => [$width, $depth, LayoutParameter::length('innerWidth', 'Middle, width'), LayoutParameter::length('innerDepth', 'Middle, depth')],
            'box' => [$width, $depth],
            'corridor' => [LayoutParameter::length('distance', 'Between the walls')],
            'defender' => [LayoutParameter::length('approach', 'Up to the marker'), LayoutParameter::length('exit', 'Past it'), LayoutParameter::whole('angleDegrees', 'Way out, degrees', 0, 90)],
            'facing-lines' => [$distance, LayoutParameter::whole('perLine', 'Players in a line', 1, 10)],
            'figure-of-eight' => [$distance, LayoutParameter::length('radius', 'Room round a marker'), LayoutParameter::flag('middleMarker', 'A marker in the middle')],
            'gates' => [LayoutParameter::length('gateWidth', 'Gate'), $distance],
            'lane' => [$width, LayoutParameter::length('length', 'Length')],
            'line' => [LayoutParameter::whole('markers', 'Markers', 2, 60), $spacing],
            'pair' => [$distance],
            'passing-rectangle' => [$width, $depth, LayoutParameter::whole('order', 'Order: 0 round, 1 straight and diagonal', 0, 1), LayoutParameter::whole('clockwise', 'Other way round', 0, 1), LayoutParameter::whole('perCorner', 'Players at a corner', 1, 5), LayoutParameter::whole('balls', 'Balls', 1, 2)],
            'pattern-to-goal' => [LayoutParameter::whole('passers', 'Passers', 2, 8), $spacing, LayoutParameter::length('offset', 'Between the rows'), LayoutParameter::length('shot', 'Shot from')],
            'reaction-square' => [LayoutParameter::length('side', 'Side')],
            'reference' => [LayoutParameter::length('reach', 'To each side'), LayoutParameter::whole('serverMetres', 'Server, metres away (0 none)', 0, 40)],
            'scatter' => [LayoutParameter::whole('markers', 'Markers', 2, 60), $width, $depth, LayoutParameter::whole('seed', 'Another way to strew them', 0, 999999)],
            'shooting-line' => [LayoutParameter::whole('ballCount', 'Balls', 2, 12), $spacing, LayoutParameter::length('distance', 'To the goal'), LayoutParameter::length('goalWidth', 'Goal')],
            'small-field' => [$width, $depth, LayoutParameter::length('goalWidth', 'Goal'), LayoutParameter::whole('goalsPerEnd', 'Goals at each end', 1, 2)],
            'targets' => [LayoutParameter::whole('targets', 'Targets', 1, 9), $distance, LayoutParameter::whole('spreadDegrees', 'Spread, degrees', 0, 150), LayoutParameter::whole('balls', 'Balls', 1, 12)],
            'wall-lane' => [$width, LayoutParameter::length('nearest', 'Nearest line'), LayoutParameter::length('step', 'From line to line'), LayoutParameter::whole('levels', 'Lines', 1, 6), LayoutParameter::whole('level', 'Line in use', 1, 6)],
            'wall-turn' => [$width, LayoutParameter::length('wall', 'To the wall'), LayoutParameter::length('turnLine', 'Turn line behind')],
            'zigzag' => [LayoutParameter::whole('markers', 'Markers', 2, 60), $spacing, LayoutParameter::whole('angleDegrees', 'Each leg turns, degrees', 20, 140)],
        ];
    }

    /**
     * Every fault of a layout's fields, by the name of the field.
     *
     * @param  array<array-key, mixed>  $fields
     * @return array<string, string> field → sentence
     */
    public static function faults(array $fields): array
    {
        $kind = $fields['kind'] ?? null;
        $parameters = is_string($kind) ? self::all()[$kind] ?? null : null;
        if ($parameters === null) {
            return ['kind' => 'The layout is not known; use one of '.implode(', ', LayoutFactory::KINDS).'.'];
        }
        $read = new LayoutFields($fields);
        $faults = [];
        foreach ($parameters as $parameter) {
            try {
                match ($parameter->type) {
                    'length' => Limits::length($parameter->name, $read->length($parameter->name)),
                    'whole' => Limits::count($parameter->name, $read->whole($parameter->name), $parameter->least, $parameter->most),
                    default => $read->is($parameter->name, true),
                };
            } catch (CoreException $fault) {
                $faults[$parameter->name] = $fault->getMessage();
            }
        }
        foreach (array_keys(array_diff_key($fields, array_flip(['kind', ...array_map(static fn (LayoutParameter $one): string => $one->name, $parameters)]))) as $unknown) {
            $faults[(string) $unknown] = "A layout of the kind {$kind} has no \"{$unknown}\".";
        }

        return $faults;
    }
}
