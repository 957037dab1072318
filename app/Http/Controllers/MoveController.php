<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\MoveResource;
use App\OpenApi\Get;
use App\Queries\MoveQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The move dictionary. It belongs to no club: everybody signed in reads the same. */
class MoveController extends Controller
{
    #[
        Get(
            '/moves',
            'Moves found by the words people use for them; all of them when nothing is asked.',
            answers: 'Moves',
            query: ['find?' => 'string'],
        ),
    ]
    public function index(Request $request, MoveQuery $moves): JsonResponse
    {
        $request->validate(['find' => ['nullable', 'string', 'max:120']], ['find.*' => 'Ask with at most 120 letters.']);

        return new JsonResponse(['moves' => array_map(MoveResource::summary(...), $moves->find($request->string('find')->toString()))]);
    }

    #[Get('/moves/{slug}', 'One move: its script, foot by foot, with cue, faults and neighbours.', answers: 'Move')]
    public function show(string $slug, MoveQuery $moves): JsonResponse
    {
        $dictionary = $moves->dictionary();
        $move = $dictionary->moves[$slug] ?? abort(404);

        return new JsonResponse(MoveResource::of($move, $dictionary));
    }
}
