<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\MoveResource;
use App\OpenApi\Get;
use App\Queries\MoveQuery;
use Illuminate\Http\JsonResponse;

/** The move dictionary. It belongs to no club: everybody signed in reads the same. */
class MoveController extends Controller
{
    #[Get('/moves', 'Every move, with the words people use for it.', answers: 'Moves')]
    public function index(MoveQuery $moves): JsonResponse
    {
        return new JsonResponse(['moves' => array_map(MoveResource::summary(...), array_values($moves->dictionary()->moves))]);
    }

    #[Get('/moves/{slug}', 'One move: its script, foot by foot, with cue, faults and neighbours.', answers: 'Move')]
    public function show(string $slug, MoveQuery $moves): JsonResponse
    {
        $dictionary = $moves->dictionary();
        $move = $dictionary->moves[$slug] ?? abort(404);

        return new JsonResponse(MoveResource::of($move, $dictionary));
    }
}
