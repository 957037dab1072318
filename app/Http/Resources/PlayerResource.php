<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Player;
use App\OpenApi\Shape;

/** What a screen may know of a child: first name, bib, foot, year. */
#[Shape('Player', ['id' => 'int', 'name' => 'string', 'bib' => 'int?', 'strongFoot' => "'R'|'L'|'both'", 'birthYear' => 'int?'])]
final class PlayerResource
{
    /** @return array<string, mixed> */
    public static function of(Player $player): array
    {
        return [
            'id' => $player->id,
            'name' => $player->name,
            'bib' => $player->bib,
            'strongFoot' => $player->strong_foot->value,
            'birthYear' => $player->birth_year,
        ];
    }
}
