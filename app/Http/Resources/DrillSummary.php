<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\OwnDrill;
use App\OpenApi\Shape;
use FleetSparrow\Core\Book\DrillFacts;
use FleetSparrow\Core\Shared\Foot;

/** A drill in the list that a search brings. */
#[
    Shape(
        'DrillSummary',
        [
            'slug' => 'string',
            'name' => 'string',
            'family' => 'string',
            'summary' => 'string',
            'contacts' => 'Contact[]',
            'dose' => 'Dose?',
            'fromAge' => 'string',
            'people' => "'alone'|'pair'|'group'",
            'minutes' => 'number?',
            'isOwn' => 'bool',
        ],
    ),
]
#[Shape('DrillsFound', ['found' => 'DrillSummary[]'])]
final class DrillSummary
{
    /** @return array<string, mixed> */
    public static function of(DrillFacts $drill): array
    {
        return [
            'slug' => $drill->slug,
            'name' => $drill->name,
            'family' => $drill->family,
            'summary' => $drill->summary,
            'contacts' => array_slice(DrillResource::contacts($drill->script->resolved(Foot::Right)->items), 0, 12),
            'dose' => $drill->dose,
            'fromAge' => "U{$drill->underAge}",
            'people' => $drill->people,
            'minutes' => $drill->minutes === null ? null : round($drill->minutes, 1),
            'isOwn' => OwnDrill::isOwn($drill->slug),
        ];
    }
}
