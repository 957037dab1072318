<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Leave for a device to send touches of one session. Only a hash of its token is kept.
 *
 * @property int $id
 * @property int $club_id
 * @property int $training_session_id
 * @property string $token_hash
 * @property CarbonImmutable $expires_at_utc
 * @property TrainingSession $session
 */
class TouchFeed extends Model
{
    use BelongsToClub;

    public const HOURS = 12;

    protected $fillable = ['training_session_id', 'token_hash', 'expires_at_utc', 'opened_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['expires_at_utc' => 'immutable_datetime'];
    }

    /** @return BelongsTo<TrainingSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(TrainingSession::class, 'training_session_id');
    }

    /** Across clubs: whoever has the token says by it which club is meant. */
    public static function ofToken(string $token): ?self
    {
        return self::query()->withoutGlobalScope('club')->where('token_hash', hash('sha256', $token))
            ->where('expires_at_utc', '>', now('UTC'))->first();
    }
}
