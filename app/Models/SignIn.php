<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * One device that somebody is signed in on. Without its row the sign-in is over, whatever the session file says.
 *
 * @property int $id
 * @property int $club_id
 * @property int $user_id
 * @property string $device
 * @property CarbonImmutable $signed_in_at_utc
 * @property CarbonImmutable $seen_at_utc
 */
class SignIn extends Model
{
    public $timestamps = false;

    protected $fillable = ['club_id', 'user_id', 'device', 'signed_in_at_utc', 'seen_at_utc'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['signed_in_at_utc' => 'immutable_datetime', 'seen_at_utc' => 'immutable_datetime'];
    }
}
