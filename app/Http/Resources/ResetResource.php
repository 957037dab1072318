<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\OpenApi\Shape;
use FleetSparrow\Core\Layout\Marker;
use FleetSparrow\Core\Layout\Reset;

/** Every marker of two layouts on one ground, with what is done to it. */
#[Shape('ResetMarker', ['fate' => "'keep'|'arrive'|'leave'"], extends: 'DrawnMarker')]
#[Shape('ResetDrawing', ['markers' => 'ResetMarker[]', 'kept' => 'int', 'moved' => 'int', 'added' => 'int', 'lifted' => 'int'])]
final class ResetResource
{
    /**
     * @param  list<Marker>  $before
     * @return array<string, mixed>
     */
    public static function of(array $before, Reset $reset): array
    {
        return [
            'markers' => [
                ...array_map(fn (int $i): array => self::marker($before[$i], 'keep'), $reset->kept),
                ...array_map(fn (int $i): array => self::marker($before[$i], 'leave'), $reset->leaving()),
                ...array_map(fn (int $i): array => self::marker($reset->wanted[$i], 'arrive'), $reset->arriving()),
            ],
            'kept' => count($reset->kept),
            'moved' => $reset->moved(),
            'added' => $reset->added(),
            'lifted' => $reset->lifted(),
        ];
    }

    /** @return array<string, mixed> */
    private static function marker(Marker $marker, string $fate): array
    {
        return [
            'xMetres' => round($marker->at->xMetres, 3),
            'yMetres' => round($marker->at->yMetres, 3),
            'shape' => $marker->shape->value,
            'colour' => $marker->colour,
            'fate' => $fate,
        ];
    }
}
