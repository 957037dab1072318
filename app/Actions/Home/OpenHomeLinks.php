<?php

declare(strict_types=1);

namespace App\Actions\Home;

use App\Auth\AuditTrail;
use App\Auth\HomeCode;
use App\Models\HomeLink;
use App\Models\Player;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Opens players' pages at home, keeps them open, and closes them. */
final class OpenHomeLinks
{
    public function __construct(private readonly AuditTrail $trail)
    {
    }

    /**
     * One that is open stays under its link and lasts longer; one that has run out, or whose secret cannot be told any more, is made anew.
     *
     * @param  iterable<Player>  $players
     */
    public function open(iterable $players, User $by): void
    {
        DB::transaction(function () use ($players, $by): void {
            foreach ($players as $player) {
                $expires = now('UTC')->addWeeks(HomeLink::WEEKS);
                $link = HomeLink::query()->where('player_id', $player->id)->lockForUpdate()->first();
                if ($link !== null && $link->isOpen() && HomeCode::ofLink($link) !== null) {
                    $link->update(['expires_at_utc' => $expires]);

                    continue;
                }
                $nonce = Str::random(32);
                $link?->delete();
                HomeLink::query()->create([
                    'player_id' => $player->id,
                    'nonce' => $nonce,
                    'token_hash' => HomeCode::hash(HomeCode::of($nonce)),
                    'expires_at_utc' => $expires,
                    'opened_by' => $by->id,
                ]);
                $this->trail->note($by, 'home.link-opened', $player->squad_id, $player->id);
            }
        });
    }

    public function close(Player $player, User $by): void
    {
        DB::transaction(function () use ($player, $by): void {
            if (HomeLink::query()->where('player_id', $player->id)->delete() > 0) {
                $this->trail->note($by, 'home.link-closed', $player->squad_id, $player->id);
            }
        });
    }
}
