<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Who did what, and when: to a child's records, to an account, a session, the settings. Written once and never changed.
 *
 * @property int $id
 * @property int|null $squad_id
 * @property int|null $player_id
 * @property string $about whom or what, where it is no player
 * @property int|null $user_id
 * @property string $action
 * @property array<string, mixed> $changes
 * @property CarbonImmutable $at_utc
 * @property User|null $user
 * @property Player|null $player
 * @property Squad|null $squad
 */
class AuditEntry extends Model
{
    use BelongsToClub;

    public $timestamps = false;

    protected $fillable = ['squad_id', 'player_id', 'user_id', 'action', 'about', 'changes', 'at_utc'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['changes' => 'array', 'at_utc' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Player, $this> null once the player is erased */
    public function player(): BelongsTo
    {
        return $this->belongsTo(Player::class);
    }

    /** @return BelongsTo<Squad, $this> */
    public function squad(): BelongsTo
    {
        return $this->belongsTo(Squad::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
