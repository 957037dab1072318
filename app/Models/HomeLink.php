<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Carbon\CarbonImmutable;
use Illuminate\Auth\Authenticatable as SignsIn;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What opens one player's page at home, and nothing else. Only a hash of its secret is kept.
 *
 * @property int $id
 * @property int $club_id
 * @property int $player_id
 * @property string $nonce
 * @property string $token_hash
 * @property CarbonImmutable $expires_at_utc
 * @property CarbonImmutable|null $seen_on  the last day somebody opened it
 * @property Player $player
 */
class HomeLink extends Model implements Authenticatable
{
    use BelongsToClub;
    use SignsIn;

    public const WEEKS = 12;

    /** Before it runs out, the family and the coach are told. */
    private const SOON_DAYS = 14;

    protected $fillable = ['player_id', 'nonce', 'token_hash', 'expires_at_utc', 'opened_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['expires_at_utc' => 'immutable_datetime', 'seen_on' => 'immutable_date'];
    }

    /** @return BelongsTo<Player, $this> */
    public function player(): BelongsTo
    {
        return $this->belongsTo(Player::class);
    }

    public function isOpen(): bool
    {
        return $this->expires_at_utc->isFuture();
    }

    public function endsSoon(): bool
    {
        return $this->expires_at_utc->lessThan(now('UTC')->addDays(self::SOON_DAYS));
    }
}
