<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Who changed what about a child, and when. Written once and never changed.
 *
 * @property int $id
 * @property int $squad_id
 * @property int $player_id
 * @property int|null $user_id
 * @property string $action
 * @property array<string, mixed> $changes
 * @property CarbonImmutable $at_utc
 * @property User|null $user
 */
class AuditEntry extends Model
{
    use BelongsToClub;

    public $timestamps = false;

    protected $fillable = ['squad_id', 'player_id', 'user_id', 'action', 'changes', 'at_utc'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['changes' => 'array', 'at_utc' => 'immutable_datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
