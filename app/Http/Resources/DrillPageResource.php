<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\DrillVersion;
use App\Models\Squad;
use App\OpenApi\Shape;

/** A drill with its fields as a file writes them, and whose it is: null where it is the book's. */
#[Shape('Ownership', ['version' => 'int', 'isShared' => 'bool', 'squadName' => 'string', 'mayChange' => 'bool', 'copiedFrom' => 'string?'])]
#[Shape('DrillPage', ['drill' => 'Drill', 'fields' => 'object', 'own' => 'Ownership?'])]
final class DrillPageResource
{
    /** @return array<string, mixed> */
    public static function of(DrillVersion $version, Squad $squad): array
    {
        $own = $version->ownDrill;

        return [
            'drill' => DrillResource::of($version, $squad->length_unit),
            'fields' => $version->content,
            'own' => $own === null ? null : [
                'version' => $own->version,
                'isShared' => $own->is_shared,
                'squadName' => $own->squad->name,
                'mayChange' => $own->squad_id === $squad->id,
                'copiedFrom' => $own->copied_from,
            ],
        ];
    }
}
