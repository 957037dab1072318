<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\InvalidLayout;

/** What may be chosen of each kind of layout: for checking a file field by field, for its schema, and for changing a drill in place. */
final class LayoutParameters
{
    /**
     * @return list<LayoutParameter>
     *
     * @throws InvalidLayout If the kind is unknown.
     */
    public static function of(string $kind): array
    {
        return self::tryOf($kind) ?? throw InvalidLayout::because(
            'layout.kind',
            "Layout \"{$kind}\" is not known; use one of ".LayoutFactory::names().'.',
        );
    }

    /** @return list<LayoutParameter>|null null for a kind that is not known */
    public static function tryOf(string $kind): ?array
    {
        $layout = LayoutFactory::KINDS[$kind] ?? null;

        return $layout === null ? null : $layout::chosen();
    }

    /** @return array<string, list<LayoutParameter>> kind → parameters */
    public static function all(): array
    {
        return array_map(static fn (string $layout): array => $layout::chosen(), LayoutFactory::KINDS);
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
        $parameters = is_string($kind) ? self::tryOf($kind) : null;
        if ($parameters === null) {
            return ['kind' => 'The layout is not known; use one of '.LayoutFactory::names().'.'];
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
}
