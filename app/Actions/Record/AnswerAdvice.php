<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Auth\AuditTrail;
use App\Models\Player;
use App\Models\User;
use App\Planning\SquadHistory;
use App\Queries\LadderQuery;
use Illuminate\Support\Facades\DB;

/** Keeps what a coach says to the advice to move a player up or back on a ladder: yes moves, no is remembered until new numbers come. */
final class AnswerAdvice
{
    public function __construct(
        private readonly LadderQuery $ladders,
        private readonly SquadHistory $history,
        private readonly AuditTrail $trail,
    ) {
    }

    /**
     * @param  string  $why  the advice as it was read
     * @return bool false where the advice is another by now, or none
     */
    public function answer(Player $player, string $ladderSlug, bool $isYes, string $why, User $by): bool
    {
        return DB::transaction(function () use ($player, $ladderSlug, $isYes, $why, $by): bool {
            $this->history->hold([$player->squad_id]);
            // What is kept of it is kept under what stands in its row now.
            $player->load('squad');
            foreach ($this->ladders->ladders($player->squad, [$player]) as ['ladder' => $ladder, 'places' => $places]) {
                $place = $places[$player->id];
                if ($ladder->slug !== $ladderSlug || ! $place->isAsking() || $place->why !== $why || $place->rung === null) {
                    continue;
                }
                DB::table('advice_answers')->upsert([[
                    'club_id' => $player->club_id,
                    'player_id' => $player->id,
                    'ladder_slug' => $ladder->slug,
                    'drill_slug' => $ladder->rungs[$place->rung]->drill,
                    'answer' => $isYes ? 'yes' : 'no',
                    'why' => $why,
                    'answered_by' => $by->id,
                    'answered_at_utc' => now(),
                ]], ['player_id', 'ladder_slug'], ['drill_slug', 'answer', 'why', 'answered_by', 'answered_at_utc']);
                $this->trail->note($by, 'player.advice', $player->squad_id, $player->id, [
                    'advice' => [$ladder->name, $isYes ? "taken: {$place->advice}" : "not taken: {$place->advice}"],
                ]);
                $this->history->changed($player->squad_id, lineKeys: []);

                return true;
            }

            return false;
        });
    }
}
