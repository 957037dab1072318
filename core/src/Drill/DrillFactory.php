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
        $read = new BookFields($fields, 'drill');
        $slug = $read->slug();
        try {
            return self::build($slug, $read, $fields);
        } catch (CoreException $fault) {
            throw InvalidDrill::because($fault->reason(), "Drill {$slug}: {$fault->getMessage()}");
        }
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function build(string $slug, BookFields $read, array $fields): Drill
    {
        $layout = LayoutFactory::fromFields($read->object('layout'));
        $scoring = $fields['scoring'] ?? null;

        return new Drill(
            $slug,
            $read->text('name'),
            $read->family(),
            $read->text('summary'),
            $layout,
            Script::fromText($read->text('script')),
            array_key_exists('metresPerSecond', $fields) ? self::secondsOfPath($read, $layout) : $read->number('secondsPerRep', 0.1, 120.0),
            $read->number('goodChance', 0.05, 1.0),
            $read->number('fetchSeconds', 0.0, 60.0),
            DoseFactory::fromFields($read->object('dose')),
            is_array($scoring) ? self::rule(new BookFields($scoring, 'drill')) : null,
            self::organisation(new BookFields($read->object('organisation'), 'drill')),
            $read->texts('points'),
            $read->faults(),
            $read->texts('cautions'),
        );
    }

    /** A travelling drill gives its speed and takes its time from the path; any other gives the seconds of a rep. */
    private static function secondsOfPath(BookFields $read, Layout $layout): float
    {
        $path = $layout->ballPath() ?? throw InvalidDrill::because('drill.metresPerSecond', '"metresPerSecond" needs a layout with a path.');

        return $path->lengthMetres / $read->number('metresPerSecond', 0.2, 8.0);
    }

    private static function organisation(BookFields $read): Organisation
    {
        $service = Service::tryFrom($read->text('service')) ?? throw InvalidDrill::because('drill.service', '"service" must be none, passed, rolled, thrown or wall.');

        return new Organisation(max(1, (int) $read->number('workers', 1, 6)), max(0, (int) $read->number('playerServers', 0, 4)), $service);
    }

    private static function rule(BookFields $read): ScoringRule
    {
        return new ScoringRule(
            MarkKind::tryFrom($read->text('kind')) ?? throw InvalidDrill::because('drill.scoring', '"scoring.kind" is not a kind of mark.'),
            $read->text('starts'),
            $read->text('stops'),
            $read->text('countsOnlyIf', mayBeEmpty: true),
            $read->text('voids', mayBeEmpty: true),
            $read->text('fault', mayBeEmpty: true),
        );
    }
}
