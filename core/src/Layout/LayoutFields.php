<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\InvalidLayout;
use FleetSparrow\Core\Exception\InvalidValue;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;

/** The fields of a layout in a drill file, where a length is `{"value": 4, "unit": "yd"}`. */
final readonly class LayoutFields
{
    /** @param  array<array-key, mixed>  $fields */
    public function __construct(private array $fields)
    {
    }

    public function is(string $name, bool $default): bool
    {
        return ($this->fields[$name] ?? $default) === true;
    }

    /** @throws InvalidLayout If there is no whole number of that name. */
    public function whole(string $name): int
    {
        $value = $this->fields[$name] ?? null;

        return is_int($value) ? $value : throw InvalidLayout::at("layout.{$name}", 'Enter a whole number.');
    }

    /** @throws InvalidLayout|InvalidValue If there is no length of that name. */
    public function length(string $name): Length
    {
        $field = $this->fields[$name] ?? null;
        $value = is_array($field) ? ($field['value'] ?? null) : null;
        $unit = is_array($field) && is_string($field['unit'] ?? null) ? LengthUnit::tryFrom($field['unit']) : null;
        if ($unit === null || (! is_int($value) && ! is_float($value))) {
            throw InvalidLayout::at(
                "layout.{$name}",
                'Enter a length with its unit; in a file {"value": 4, "unit": "yd"}.',
            );
        }

        return Length::of((float) $value, $unit);
    }
}
