<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\DrillVersion;
use App\Models\MoveVersion;
use App\Models\Squad;
use App\OpenApi\Shape;
use FleetSparrow\Core\Shared\AgeGroup;
use Illuminate\Support\Facades\DB;

/** A drill with its fields as a file writes them, and whose it is: null where it is the book's. */
#[Shape('Ownership', ['version' => 'int', 'isShared' => 'bool', 'squadName' => 'string', 'mayChange' => 'bool', 'copiedFrom' => 'string?'])]
#[Shape('DrillOfPage', ['needs' => 'MoveRef[]'], extends: 'Drill')]
#[Shape('DrillPage', ['drill' => 'DrillOfPage', 'fields' => 'object', 'own' => 'Ownership?', 'target' => 'TargetOfDrill'])]
#[Shape('TargetOfDrill', ['school' => 'string?', 'number' => 'number?', 'usual' => 'string', 'forAge' => 'number?'])]
final class DrillPageResource
{
    /**
     * Moves of the dictionary that should be there first; one that left the book is left out.
     *
     * @param  list<string>  $slugs
     * @return list<array{slug: string, name: string}>
     */
    private static function needs(array $slugs): array
    {
        return $slugs === []
            ? []
            : array_values(MoveVersion::query()->where('is_current', true)->whereIn('slug', $slugs)->orderBy('name')->get(['slug', 'name'])
                ->map(
                    fn (MoveVersion $move): array => [
                        'slug' => (string) $move->getAttribute('slug'),
                        'name' => (string) $move->getAttribute('name'),
                    ],
                )->all());
    }

    /** @return array<string, mixed> how the squad sets the number to beat here, and the one number there is for its age */
    private static function target(DrillVersion $version, Squad $squad): array
    {
        $own = DB::table('drill_targets')->where(['squad_id' => $squad->id, 'drill_slug' => $version->slug])->first();
        $age = AgeGroup::tryOf($squad->age_group);

        return [
            'school' => $own === null ? null : (string) $own->school,
            'number' => $own?->number === null ? null : (float) $own->number,
            'usual' => $squad->target_school->value,
            'forAge' => $age === null ? null : $version->drill()->rule?->fixedFor($age),
        ];
    }

    /** @return array<string, mixed> */
    public static function of(DrillVersion $version, Squad $squad): array
    {
        $own = $version->ownDrill;

        return [
            'drill' => DrillResource::of($version, $squad->length_unit) + ['needs' => self::needs($version->drill()->demands->needs)],
            'fields' => $version->content,
            'own' => $own === null ? null : [
                'version' => $own->version,
                'isShared' => $own->is_shared,
                'squadName' => $own->squad->name,
                'mayChange' => $own->squad_id === $squad->id,
                'copiedFrom' => $own->copied_from,
            ],
            'target' => self::target($version, $squad),
        ];
    }
}
