<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill\Reading;

use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\CircuitItem;
use FleetSparrow\Core\Drill\Composition;
use FleetSparrow\Core\Drill\Part;
use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Exception\ScriptError;
use FleetSparrow\Core\Shared\ServiceManner;
use FleetSparrow\Core\Touch\Script;

/** Reads a script, or the parts, links or items it is put together from: exactly one of the four. */
final class CompositionReader
{
    public const KINDS = ['script', 'combination', 'buildUp', 'circuit'];

    /** @throws InvalidDrill|InvalidDose If there is none or more than one, or a part cannot be read. */
    public static function read(BookFields $read, DoseKinds $doses): Composition
    {
        $given = array_values(array_filter(self::KINDS, $read->has(...)));
        if (count($given) !== 1) {
            throw $read->refusal($given[1] ?? 'script', 'A drill has exactly one of '.implode(', ', self::KINDS).'.');
        }

        return match ($given[0]) {
            'script' => Composition::single(self::script($read, 'script')),
            'combination' => Composition::combination(self::parts($read, 'combination')),
            'buildUp' => Composition::buildUp(self::parts($read, 'buildUp')),
            default => Composition::circuit(self::items($read, $doses)),
        };
    }

    private static function script(BookFields $read, string $name): Script
    {
        try {
            return Script::fromText($read->text($name, most: 400));
        } catch (ScriptError $fault) {
            throw $read->refusal($name, $fault->getMessage());
        }
    }

    /** @return non-empty-list<Part> */
    private static function parts(BookFields $read, string $name): array
    {
        $parts = array_map(
            static fn (BookFields $part): Part => new Part(
                $part->text('name', most: 80),
                self::script($part, 'script'),
                $part->has('move') ? $part->slug('move') : null,
            ),
            $read->entries($name),
        );

        return count($parts) >= 2 && count($parts) <= 12 ? $parts : throw $read->refusal($name, "\"{$name}\" has two to twelve parts.");
    }

    /** @return non-empty-list<CircuitItem> */
    private static function items(BookFields $read, DoseKinds $doses): array
    {
        $items = array_map(static fn (BookFields $item): CircuitItem => self::item($item, $doses), $read->entries('circuit'));

        return $items !== [] && count($items) <= 20 ? $items : throw $read->refusal('circuit', 'A circuit has one to twenty items.');
    }

    private static function item(BookFields $read, DoseKinds $doses): CircuitItem
    {
        try {
            $dose = $doses->read(['sets' => 1, 'restSeconds' => 0] + $read->object('dose')->fields);
        } catch (InvalidDose $fault) {
            throw $read->refusal($fault->path(), $fault->getMessage());
        }

        return new CircuitItem(
            name: $read->text('name', most: 80),
            script: self::script($read, 'script'),
            dose: $dose,
            pace: Pace::of(
                $read->number('secondsPerRep', 0.1, 120.0),
                $read->number('goodChance', 0.05, 1.0, 1.0),
                $read->number('fetchSeconds', 0.0, 60.0, 0.0),
            ),
            restSeconds: $read->number('restSeconds', 0.0, 600.0, 0.0),
            rule: $read->has('scoring') ? ScoringReader::read($read->object('scoring')) : null,
            manner: $read->has('manner') ? $read->choice('manner', ServiceManner::class) : null,
            touches: $read->has('touches') ? DemandsReader::touches($read->object('touches')) : null,
        );
    }
}
