<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use FleetSparrow\Core\Plan\Availability;
use Illuminate\Database\Eloquent\Model;

/**
 * Whether a player is coming to a session, or was there; `TrainingSession::comingPlayerIds` says what no row means.
 *
 * @property int $player_id
 * @property bool $coming
 * @property Availability $may  what the player may do that day
 */
class Attendance extends Model
{
    use BelongsToClub;

    protected $fillable = ['training_session_id', 'player_id', 'coming', 'may'];

    protected $attributes = ['may' => 'everything'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['coming' => 'boolean', 'may' => Availability::class];
    }
}
