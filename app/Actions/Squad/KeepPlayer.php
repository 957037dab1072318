<?php

declare(strict_types=1);

namespace App\Actions\Squad;

use App\Auth\AuditTrail;
use App\Models\Player;
use App\Models\Squad;
use App\Models\User;
use App\Planning\SquadHistory;
use BackedEnum;
use FleetSparrow\Core\Shared\StrongFoot;
use Illuminate\Support\Facades\DB;

/** Adds, changes and erases players, and notes who did. */
final class KeepPlayer
{
    public function __construct(private readonly AuditTrail $trail, private readonly SquadHistory $history)
    {
    }

    /** @param  array<string, mixed>  $columns */
    public function add(Squad $squad, array $columns, User $by): Player
    {
        return DB::transaction(function () use ($squad, $columns, $by): Player {
            $this->history->hold([$squad->id]);
            $player = Player::query()->create(['squad_id' => $squad->id] + $columns);
            $this->trail->note($by, 'player.added', $squad->id, $player->id);
            $this->history->changed($squad->id);

            return $player;
        });
    }

    /**
     * A bib number each until a name is known; marks and notes follow the name, since it is one player all along. Nobody knows yet which
     * foot is the stronger.
     *
     * @param  non-empty-list<int>  $bibs
     * @return list<Player> in the order of the bibs; said twice, nobody is there twice
     */
    public function guests(Squad $squad, array $bibs, User $by): array
    {
        return DB::transaction(function () use ($squad, $bibs, $by): array {
            $this->history->hold([$squad->id]);
            $worn = Player::query()->where('squad_id', $squad->id)->whereIn('bib', $bibs)->get()->keyBy('bib');

            return array_map(fn (int $bib): Player => $worn->get($bib) ?? $this->add($squad, [
                'name' => "Bib {$bib}", 'bib' => $bib, 'strong_foot' => StrongFoot::Both, 'birth_year' => null,
            ], $by), $bibs);
        });
    }

    /** @param  array<string, mixed>  $columns */
    public function change(Player $player, array $columns, User $by): Player
    {
        return DB::transaction(function () use ($player, $columns, $by): Player {
            $this->history->hold([$player->squad_id]);
            $player->fill($columns);
            $changes = [];
            foreach (array_keys($player->getDirty()) as $column) {
                // What a private note says stays out of the trail.
                $changes[$column] = $column === 'private_note'
                    ? []
                    : [self::plain($player->getOriginal($column)), self::plain($player->getAttribute($column))];
            }
            if ($changes !== []) {
                $player->save();
                $this->history->changed($player->squad_id);
                $this->trail->note(
                    $by,
                    array_keys($changes) === ['private_note'] ? 'note.changed' : 'player.changed',
                    $player->squad_id,
                    $player->id,
                    $changes,
                );
            }

            return $player;
        });
    }

    /** To another squad: everything written down stays the player's. A bib that somebody wears there already is given back. */
    public function move(Player $player, Squad $to, User $by): Player
    {
        return DB::transaction(function () use ($player, $to, $by): Player {
            $from = $player->squad;
            $this->history->hold([min($from->id, $to->id), max($from->id, $to->id)]);
            $isWorn = Player::query()->where('squad_id', $to->id)->where('bib', $player->bib)->exists();
            $player->forceFill(['squad_id' => $to->id] + ($isWorn ? ['bib' => null] : []))->save();
            // What lies ahead there is no longer theirs.
            DB::table('attendances')->where('player_id', $player->id)->whereIn(
                'training_session_id',
                $from->trainingSessions()->whereNull('run_finished_at_utc')->select('id'),
            )->delete();
            $this->trail->note($by, 'player.moved', $to->id, $player->id, ['squad' => [$from->name, $to->name]]);
            $this->history->changed($from->id);
            $this->history->changed($to->id);

            return $player->unsetRelation('squad');
        });
    }

    /** The child's marks, bests and attendance go too. What stays: that somebody was erased, when and by whom. */
    public function erase(Player $player, User $by): void
    {
        DB::transaction(function () use ($player, $by): void {
            $this->history->hold([$player->squad_id]);
            $this->trail->forget($player->id);
            // These carry no player of their own, so nothing takes them along.
            $marks = DB::table('marks')->where('player_id', $player->id)->select('uuid');
            DB::table('mark_supersessions')->whereIn('mark_uuid', $marks)->delete();
            $this->trail->note($by, 'player.erased', $player->squad_id, $player->id);
            $player->delete();
            $this->history->changed($player->squad_id);
        });
    }

    private static function plain(mixed $value): mixed
    {
        return $value instanceof BackedEnum ? $value->value : $value;
    }
}
