<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Home\OpenHomeLinks;
use App\Http\Resources\HomeLinkResource;
use App\Models\HomeLink;
use App\Models\Player;
use App\OpenApi\Delete;
use App\OpenApi\Get;
use App\OpenApi\Put;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

class HomeLinkController extends Controller
{
    #[Get('/players/{player}/home-link', 'The link of the player\'s page at home, where one is open.', answers: 'HomeLinkPage')]
    public function show(Request $request, Player $player): JsonResponse
    {
        Gate::authorize('plan', $player->squad);

        return new JsonResponse(['link' => HomeLinkResource::of(self::of($player), $this->day($request))]);
    }

    #[
        Put(
            '/players/{player}/home-link',
            'Opens the player\'s page at home, or keeps it open for twelve weeks more under the same link.',
            answers: 'HomeLinkPage',
        ),
    ]
    public function update(Request $request, Player $player, OpenHomeLinks $action): JsonResponse
    {
        Gate::authorize('plan', $player->squad);
        $action->open([$player], $this->user($request));

        return new JsonResponse(['link' => HomeLinkResource::of(self::of($player), $this->day($request))]);
    }

    #[Delete('/players/{player}/home-link', 'Closes the player\'s page: the link is good for nothing any more.', status: 204)]
    public function destroy(Request $request, Player $player, OpenHomeLinks $action): Response
    {
        Gate::authorize('plan', $player->squad);
        $action->close($player, $this->user($request));

        return response()->noContent();
    }

    private static function of(Player $player): ?HomeLink
    {
        return HomeLink::query()->where('player_id', $player->id)->first();
    }
}
