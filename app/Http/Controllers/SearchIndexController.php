<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Player;
use App\Models\Squad;
use App\OpenApi\Get;
use App\OpenApi\Shape;
use App\Queries\DrillBookQuery;
use FleetSparrow\Core\Book\SearchEntry;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

#[Shape('SearchEntry', [
    'kind' => "'move'|'drill'|'ladder'|'player'", 'id' => 'string', 'name' => 'string', 'words' => 'string[]', 'text' => 'string',
])]
#[Shape('SearchIndex', ['entries' => 'SearchEntry[]'])]
class SearchIndexController extends Controller
{
    #[
        Get(
            '/squads/{squad}/search-index',
            'Everything there is to find, with its words: moves, drills, ladders and the squad\'s players. Searched on the phone itself.',
            answers: 'SearchIndex',
        ),
    ]
    public function __invoke(Squad $squad, DrillBookQuery $book): JsonResponse
    {
        Gate::authorize('view', $squad);
        $players = $squad->players->map(fn (Player $player): array => [
            'kind' => 'player',
            'id' => (string) $player->id,
            'name' => $player->name,
            'words' => $player->bib === null ? [] : [(string) $player->bib],
            'text' => '',
        ]);

        return new JsonResponse(['entries' => [
            ...array_map(static fn (SearchEntry $one): array => get_object_vars($one), $book->searchEntries($squad)),
            ...$players->values()->all(),
        ]]);
    }
}
