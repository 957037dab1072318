<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Squad\KeepPlayer;
use App\Http\Resources\TrailResource;
use App\Models\AuditEntry;
use App\Models\Player;
use App\OpenApi\Get;
use App\OpenApi\Put;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** What only coaches and the club lead see of a player: the private note, and who changed what. */
class PlayerNoteController extends Controller
{
    #[Get('/players/{player}/note', 'The private note on a player, and the last fifty changes with who made them.', answers: 'PlayerNote')]
    public function show(Player $player): JsonResponse
    {
        Gate::authorize('notes', $player->squad);
        $trail = AuditEntry::query()->where('player_id', $player->id)->with('user')->orderByDesc('id')->limit(50)->get();

        return new JsonResponse(['note' => $player->private_note ?? '', 'trail' => $trail->map(TrailResource::of(...))->all()]);
    }

    #[Put('/players/{player}/note', 'Keeps the private note on a player.', answers: 'PlayerNote', takes: 'NoteFields')]
    public function update(Request $request, Player $player, KeepPlayer $action): JsonResponse
    {
        Gate::authorize('notes', $player->squad);
        $request->validate(['note' => ['present', 'nullable', 'string', 'max:500']], ['note.*' => 'At most 500 letters.']);
        $note = $request->string('note')->trim()->toString();
        $action->change($player, ['private_note' => $note === '' ? null : $note], $this->user($request));

        return $this->show($player);
    }
}
