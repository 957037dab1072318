<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Squad\KeepPlayer;
use App\Http\Resources\PlayerResource;
use App\Models\Player;
use App\Models\Squad;
use App\OpenApi\Put;
use App\OpenApi\Shape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

#[Shape('PlayerSquad', ['squadId' => 'int'])]
class PlayerSquadController extends Controller
{
    #[
        Put(
            '/players/{player}/squad',
            'Moves a player to another squad of the club, with every number.',
            answers: 'Player',
            takes: 'PlayerSquad',
        ),
    ]
    public function __invoke(Request $request, Player $player, KeepPlayer $action): JsonResponse
    {
        Gate::authorize('plan', $player->squad);
        $request->validate(['squadId' => ['required', 'integer']], ['squadId.*' => 'Choose a squad.']);
        // One that is not theirs looks like one that is not there.
        $squad = Squad::query()->find($request->integer('squadId'));
        if ($squad === null || Gate::denies('plan', $squad)) {
            throw ValidationException::withMessages(['squadId' => 'Choose a squad that you plan for.']);
        }
        if (Player::query()->where('squad_id', $squad->id)->where('name', $player->name)->whereKeyNot($player->id)->exists()) {
            throw ValidationException::withMessages(['squadId' => "{$squad->name} has a player of that name. Add an initial first."]);
        }

        return new JsonResponse(PlayerResource::of($action->move($player, $squad, $this->user($request))));
    }
}
