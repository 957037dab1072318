<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\TriesResource;
use App\Models\Player;
use App\OpenApi\Get;
use App\Queries\TriesQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

class LineMarksController extends Controller
{
    #[
        Get(
            '/players/{player}/lines/{lineKey}',
            'Every try of a player on one record line, with everything that was ever said of it.',
            answers: 'LineTries',
        ),
    ]
    public function __invoke(Player $player, string $lineKey, TriesQuery $tries): JsonResponse
    {
        Gate::authorize('view', $player->squad);

        return new JsonResponse(TriesResource::of($tries->of($player, $lineKey), $player->squad->length_unit));
    }
}
