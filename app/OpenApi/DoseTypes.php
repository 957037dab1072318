<?php

declare(strict_types=1);

namespace App\OpenApi;

use FleetSparrow\Core\Dose\DoseDeclaration;
use FleetSparrow\Core\Dose\DoseField;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Drill\CircuitDose;

/** What each dose declares of itself, for the front end: its types, its form and its words are read from this one file. */
final class DoseTypes
{
    public const FILE = 'resources/js/shared/api/doses.ts';

    private const HEAD = '// Written by ./sparrow contract from what each dose declares of itself in the core. Change it there.';

    public static function text(?DoseKinds $kinds = null): string
    {
        $declared = [...($kinds ?? DoseKinds::standard())->declared(), CircuitDose::declared()];
        $lines = array_map(
            static fn (DoseDeclaration $one): string => json_encode(
                self::kind($one),
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            ),
            $declared,
        );

        return self::HEAD."\nexport const doseKinds = [\n  ".implode(",\n  ", $lines).",\n] as const;\n";
    }

    /** @return array<string, mixed> */
    private static function kind(DoseDeclaration $dose): array
    {
        return [
            'kind' => $dose->kind,
            'words' => $dose->words,
            'sentence' => $dose->sentence,
            'sizedBy' => $dose->sizedBy,
            'fields' => array_map(self::field(...), $dose->fields),
        ];
    }

    /** @return array<string, mixed> */
    private static function field(DoseField $field): array
    {
        return [
            'name' => $field->name,
            'label' => $field->label.($field->type === 'seconds' ? ', s' : ''),
            'type' => $field->type,
            'least' => $field->least,
            'most' => $field->most,
            'start' => $field->start,
            'words' => $field->words,
        ];
    }
}
