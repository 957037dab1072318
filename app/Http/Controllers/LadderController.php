<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\LadderResource;
use App\Models\Squad;
use App\OpenApi\Get;
use App\Queries\LadderQuery;
use App\Queries\MoveQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

class LadderController extends Controller
{
    #[
        Get(
            '/squads/{squad}/ladders',
            'Ladders with each player\'s place and why, and the tree of moves with what each needs first.',
            answers: 'Ladders',
        ),
    ]
    public function __invoke(Squad $squad, LadderQuery $ladders, MoveQuery $moves): JsonResponse
    {
        Gate::authorize('view', $squad);
        $drills = $ladders->drills($squad);

        return new JsonResponse(
            [
                'ladders' => array_map(
                    fn (array $one): array => LadderResource::of($one['ladder'], $one['places'], $drills),
                    $ladders->ladders($squad),
                ),
                'tree' => LadderResource::tree($moves->dictionary()),
            ],
        );
    }
}
