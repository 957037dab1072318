<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use App\Tenancy\Role;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A place on the staff, offered by link. Only a hash of the link's secret is kept.
 *
 * @property int $id
 * @property int $club_id
 * @property int|null $squad_id
 * @property Role $role
 * @property string $email
 * @property string $token_hash
 * @property CarbonImmutable $expires_at_utc
 * @property CarbonImmutable|null $accepted_at_utc
 * @property Squad|null $squad
 * @property Club $club
 */
class Invitation extends Model
{
    use BelongsToClub;

    public const DAYS = 7;

    protected $fillable = ['squad_id', 'role', 'email', 'token_hash', 'expires_at_utc', 'accepted_at_utc'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['role' => Role::class, 'expires_at_utc' => 'immutable_datetime', 'accepted_at_utc' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Squad, $this> */
    public function squad(): BelongsTo
    {
        return $this->belongsTo(Squad::class);
    }

    /**
     * Those that can still be accepted.
     *
     * @param  Builder<Invitation>  $query
     */
    public static function open(Builder $query): void
    {
        $query->whereNull('accepted_at_utc')->where('expires_at_utc', '>', now());
    }
}
