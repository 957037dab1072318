<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\MoveVersion;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Move\Move;
use FleetSparrow\Core\Move\MoveDictionary;

/** The move dictionary as it stands. */
final class MoveQuery
{
    public function dictionary(): MoveDictionary
    {
        $versions = MoveVersion::query()->where('is_current', true)->orderBy('id')->get();
        $moves = array_values($versions->map(fn (MoveVersion $version): Move => $version->move())->all());
        // As a coach would read it: at the ball first. The sort keeps the order within a family.
        usort($moves, fn (Move $a, Move $b): int => self::place($a) <=> self::place($b));

        return MoveDictionary::of($moves);
    }

    private static function place(Move $move): int
    {
        return (int) array_search($move->family, Family::cases(), true);
    }
}
