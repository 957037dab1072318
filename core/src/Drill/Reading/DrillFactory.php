<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill\Reading;

use FleetSparrow\Core\Dose\Alone;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseFields;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Composition;
use FleetSparrow\Core\Drill\Demands;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Organisation;
use FleetSparrow\Core\Drill\Question;
use FleetSparrow\Core\Drill\StandIn;
use FleetSparrow\Core\Drill\Teaching;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Record\ScoringRule;

/** Builds a drill from the fields of a book file. Every fault is found at once, each with the path of its field. */
final class DrillFactory
{
    public const FIELDS = [
        'slug', 'name', 'family', 'summary', 'layout', 'formerLayout', 'script', 'combination', 'buildUp', 'circuit', 'secondsPerRep',
        'metresPerSecond', 'goodChance', 'fetchSeconds',
        'dose', 'scoring', 'organisation', 'touches', 'sideSetBy', 'ball', 'calling', 'targetRoles', 'targetsNamedBy', 'needs',
        'fromAge', 'levels', 'opposition', 'keepsTheme',
        'points', 'questions', 'faults', 'cautions', 'standIns', 'words', 'judgesQuality', 'note',
    ];

    private FaultList $faults;

    private function __construct(
        private readonly BookFields $read,
        private readonly LayoutKinds $layouts,
        private readonly DoseKinds $doses,
    ) {
        $this->faults = new FaultList;
    }

    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws InvalidDrill If a field is missing or says something that cannot be done; `faults` lists all of them.
     */
    public static function fromFields(array $fields, ?LayoutKinds $layouts = null, ?DoseKinds $doses = null): Drill
    {
        $factory = new self(new BookFields($fields), $layouts ?? LayoutKinds::standard(), $doses ?? DoseKinds::standard());

        return $factory->build();
    }

    private function build(): Drill
    {
        [$read, $try] = [$this->read, $this->faults->try(...)];
        $this->faults->unknown('', $read->fields, self::FIELDS);
        $slug = $try('slug', fn (): string => $read->slug());
        $name = $try('name', fn (): string => $read->text('name', most: 120));
        $family = $try('family', fn (): Family => $read->family());
        $summary = $try('summary', fn (): string => $read->text('summary', most: 300));
        $layout = $try('layout', fn (): ?Layout => $this->layout('layout'));
        $former = $read->has('formerLayout') ? $try('formerLayout', fn (): ?Layout => $this->layout('formerLayout')) : null;
        $composition = $try('script', fn (): Composition => CompositionReader::read($read, $this->doses));
        $seconds = $layout === null || $composition === null
            ? 1.0
            : $try('secondsPerRep', fn (): float => $this->secondsPerRep($layout, $composition));
        $chance = $try('goodChance', fn (): float => $read->number('goodChance', 0.05, 1.0));
        $fetch = $try('fetchSeconds', fn (): float => $read->number('fetchSeconds', 0.0, 60.0));
        $dose = $composition === null ? null : $try('dose', fn (): ?Dose => $this->dose($composition));
        $rule = $try('scoring', fn (): ?ScoringRule => $this->rule());
        $organisation = $try('organisation', fn (): Organisation => $this->organisation());
        $demands = $try('demands', fn (): Demands => DemandsReader::demands($read));
        $teaching = $try('teaching', fn (): Teaching => $this->teaching());
        $this->faults->throwIfAny($slug ?? '?');
        if (
            $slug === null
            || $name === null
            || $family === null
            || $summary === null
            || $layout === null
            || $composition === null
            || $seconds === null
            || $chance === null
            || $fetch === null
            || $organisation === null
            || $demands === null
            || $teaching === null
        ) {
            throw InvalidDrill::at('drill', 'The drill could not be read.');
        }

        return new Drill(
            slug: $slug,
            name: $name,
            family: $family,
            summary: $summary,
            layout: $layout,
            composition: $composition,
            secondsPerRep: $seconds,
            goodChance: $chance,
            fetchSeconds: $fetch,
            dose: $dose,
            rule: $rule,
            organisation: $organisation,
            demands: $demands,
            teaching: $teaching,
            formerLayout: $former,
        );
    }

    /** Null when faults were found and kept. */
    private function layout(string $name): ?Layout
    {
        $fields = $this->read->object($name)->fields;
        $faults = $this->layouts->faults($fields);
        foreach ($faults as $field => $message) {
            $this->faults->add("{$name}.{$field}", $message);
        }

        return $faults === [] ? $this->layouts->read($fields) : null;
    }

    /** A circuit takes the time of its items, a travelling drill that of its path at its speed; any other gives the seconds of a rep. */
    private function secondsPerRep(Layout $layout, Composition $composition): float
    {
        if ($composition->items !== []) {
            return Alone::meanSeconds(CircuitDose::of($composition->items, 1, 0.0), $composition->items[0]->pace);
        }
        if (! $this->read->has('metresPerSecond')) {
            return $this->read->number('secondsPerRep', 0.1, 120.0);
        }
        $path = $layout->ballPath() ?? throw $this->read->refusal('metresPerSecond', '"metresPerSecond" needs a layout with a path.');

        return $path->lengthMetres / $this->read->number('metresPerSecond', 0.2, 8.0);
    }

    private function dose(Composition $composition): ?Dose
    {
        if (! $this->read->has('dose')) {
            return null;
        }
        $fields = $this->read->object('dose')->fields;
        if (($composition->items !== []) !== (($fields['kind'] ?? null) === 'circuit')) {
            throw $this->read->refusal('dose.kind', 'A circuit, and only a circuit, has a dose of the kind circuit.');
        }

        return $composition->items === []
            ? $this->doses->read($fields)
            : CircuitDose::fromFields($composition->items, new DoseFields($fields));
    }

    private function rule(): ?ScoringRule
    {
        if (! $this->read->has('scoring')) {
            return null;
        }
        $scoring = $this->read->object('scoring');
        $this->faults->unknown('scoring', $scoring->fields, ScoringReader::FIELDS);

        return ScoringReader::read($scoring);
    }

    private function organisation(): Organisation
    {
        $organisation = $this->read->object('organisation');
        $this->faults->unknown('organisation', $organisation->fields, DemandsReader::ORGANISATION);

        return DemandsReader::organisation($organisation);
    }

    private function teaching(): Teaching
    {
        $read = $this->read;
        $faults = $read->faults();
        $points = $read->texts('points', 1, 3);
        $cautions = $read->texts('cautions', 1);

        return new Teaching(
            points: $points !== [] ? $points : throw $read->refusal('points', 'A drill needs a coaching point.'),
            questions: array_map(
                static fn (BookFields $one): Question => new Question($one->text('ask'), $one->texts('hopedFor', 1)),
                $read->entries('questions'),
            ),
            faults: $faults !== [] ? $faults : throw $read->refusal('faults', 'A drill needs a common fault with its fix.'),
            cautions: $cautions !== [] ? $cautions : throw $read->refusal('cautions', 'A drill needs a caution.'),
            standIns: array_map(
                static fn (BookFields $one): StandIn => new StandIn($one->text('for', most: 20), $one->text('use')),
                $read->entries('standIns'),
            ),
            words: $read->texts('words'),
            judgesQuality: $read->flag('judgesQuality'),
            note: $read->text('note', mayBeEmpty: true, most: 1000),
        );
    }
}
