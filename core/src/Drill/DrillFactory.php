<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Dose\DoseFactory;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\LayoutFactory;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\ScoringRule;
use FleetSparrow\Core\Touch\Script;

/** Builds a drill from the fields of a book file; a fault names the drill and the field. */
final class DrillFactory
{
    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws InvalidDrill If a field is missing or says something that cannot be done.
     */
    public static function fromFields(array $fields): Drill
    {
        $slug = is_string($fields['slug'] ?? null) ? $fields['slug'] : '';
        if (preg_match('/\A[a-z0-9]+(-[a-z0-9]+)*\z/', $slug) !== 1) {
            throw InvalidDrill::because('drill.slug', 'A drill needs a slug in lower case with hyphens.');
        }
        try {
            return self::build($slug, $fields);
        } catch (CoreException $fault) {
            throw InvalidDrill::because($fault->reason(), "Drill {$slug}: {$fault->getMessage()}");
        }
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function build(string $slug, array $fields): Drill
    {
        $layout = LayoutFactory::fromFields(self::object($fields, 'layout'));
        $organisation = self::organisation(self::object($fields, 'organisation'));
        $scoring = $fields['scoring'] ?? null;

        return new Drill(
            $slug,
            self::text($fields, 'name'),
            Family::tryFrom(self::text($fields, 'family')) ?? throw InvalidDrill::because('drill.family', '"family" is not one of the nine families.'),
            self::text($fields, 'summary'),
            $layout,
            Script::fromText(self::text($fields, 'script')),
            self::secondsPerRep($fields, $layout),
            self::number($fields, 'goodChance', 0.05, 1.0),
            self::number($fields, 'fetchSeconds', 0.0, 60.0),
            DoseFactory::fromFields(self::object($fields, 'dose')),
            is_array($scoring) ? self::rule($scoring) : null,
            $organisation,
            self::texts($fields, 'points'),
            self::faults($fields),
            self::texts($fields, 'cautions'),
        );
    }

    /**
     * A travelling drill gives its speed and takes its time from the path; any other gives the seconds of a rep.
     *
     * @param  array<array-key, mixed>  $fields
     */
    private static function secondsPerRep(array $fields, Layout $layout): float
    {
        if (! array_key_exists('metresPerSecond', $fields)) {
            return self::number($fields, 'secondsPerRep', 0.1, 120.0);
        }
        $path = $layout->ballPath() ?? throw InvalidDrill::because('drill.metresPerSecond', '"metresPerSecond" needs a layout with a path.');

        return $path->lengthMetres / self::number($fields, 'metresPerSecond', 0.2, 8.0);
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function organisation(array $fields): Organisation
    {
        $service = Service::tryFrom(self::text($fields, 'service'))
            ?? throw InvalidDrill::because('drill.service', '"service" must be none, passed, rolled, thrown or wall.');

        return new Organisation(max(1, (int) self::number($fields, 'workers', 1, 6)), max(0, (int) self::number($fields, 'playerServers', 0, 4)), $service);
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function rule(array $fields): ScoringRule
    {
        return new ScoringRule(
            MarkKind::tryFrom(self::text($fields, 'kind')) ?? throw InvalidDrill::because('drill.scoring', '"scoring.kind" is not a kind of mark.'),
            self::text($fields, 'starts'),
            self::text($fields, 'stops'),
            self::text($fields, 'countsOnlyIf', mayBeEmpty: true),
            self::text($fields, 'voids', mayBeEmpty: true),
            self::text($fields, 'fault', mayBeEmpty: true),
        );
    }

    /**
     * @param  array<array-key, mixed>  $fields
     * @return list<array{fault: string, fix: string}>
     */
    private static function faults(array $fields): array
    {
        $faults = [];
        foreach (self::object($fields, 'faults') as $entry) {
            if (! is_array($entry)) {
                throw InvalidDrill::because('drill.faults', '"faults" lists pairs of a fault and its fix.');
            }
            $faults[] = ['fault' => self::text($entry, 'fault'), 'fix' => self::text($entry, 'fix')];
        }

        return $faults;
    }

    /**
     * @param  array<array-key, mixed>  $fields
     * @return array<array-key, mixed>
     */
    private static function object(array $fields, string $name): array
    {
        $value = $fields[$name] ?? null;

        return is_array($value) ? $value : throw InvalidDrill::because("drill.{$name}", "\"{$name}\" is missing.");
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function text(array $fields, string $name, bool $mayBeEmpty = false): string
    {
        $value = $fields[$name] ?? ($mayBeEmpty ? '' : null);

        return is_string($value) && ($mayBeEmpty || trim($value) !== '')
            ? $value
            : throw InvalidDrill::because("drill.{$name}", "\"{$name}\" needs some text.");
    }

    /**
     * @param  array<array-key, mixed>  $fields
     * @return list<string>
     */
    private static function texts(array $fields, string $name): array
    {
        return array_values(array_map(
            static fn (mixed $text): string => is_string($text) ? $text : throw InvalidDrill::because("drill.{$name}", "\"{$name}\" lists sentences."),
            self::object($fields, $name),
        ));
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function number(array $fields, string $name, float $least, float $most): float
    {
        $value = $fields[$name] ?? null;
        if ((! is_int($value) && ! is_float($value)) || $value < $least || $value > $most) {
            throw InvalidDrill::because("drill.{$name}", sprintf('"%s" must be a number between %g and %g.', $name, $least, $most));
        }

        return (float) $value;
    }
}
