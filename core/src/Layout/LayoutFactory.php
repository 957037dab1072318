<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Exception\InvalidValue;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;

/** Builds a layout from the fields of a drill file, where a length is `{"value": 4, "unit": "yd"}`. */
final class LayoutFactory
{
    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws InvalidLayout|InvalidValue If the kind is unknown, or a field is missing or cannot be laid.
     */
    public static function fromFields(array $fields): Layout
    {
        $kind = $fields['kind'] ?? null;

        return match ($kind) {
            'zigzag' => Zigzag::of(self::whole($fields, 'markers'), self::length($fields, 'spacing'), self::whole($fields, 'angleDegrees')),
            'box' => Box::of(self::length($fields, 'width'), self::length($fields, 'depth')),
            'figure-of-eight' => FigureOfEight::of(self::length($fields, 'distance'), self::length($fields, 'radius'), ($fields['middleMarker'] ?? true) === true),
            'gates' => Gates::of(self::length($fields, 'gateWidth'), self::length($fields, 'distance')),
            'wall-lane' => WallLane::of(
                self::length($fields, 'width'),
                self::length($fields, 'nearest'),
                self::length($fields, 'step'),
                self::whole($fields, 'levels'),
                self::whole($fields, 'level'),
            ),
            default => throw InvalidLayout::because('layout.kind', 'Layout '.json_encode($kind).' is not known; use zigzag, box, figure-of-eight, gates or wall-lane.'),
        };
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function whole(array $fields, string $name): int
    {
        $value = $fields[$name] ?? null;

        return is_int($value) ? $value : throw InvalidLayout::because('layout.field', "The layout needs a whole number in \"{$name}\".");
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function length(array $fields, string $name): Length
    {
        $field = $fields[$name] ?? null;
        $value = is_array($field) ? ($field['value'] ?? null) : null;
        $unit = is_array($field) && is_string($field['unit'] ?? null) ? LengthUnit::tryFrom($field['unit']) : null;
        if ($unit === null || (! is_int($value) && ! is_float($value))) {
            throw InvalidLayout::because('layout.field', "The layout needs a length in \"{$name}\", such as {\"value\": 4, \"unit\": \"yd\"}.");
        }

        return Length::of((float) $value, $unit);
    }
}
