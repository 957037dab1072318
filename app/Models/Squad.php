<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use FleetSparrow\Core\Record\TargetSchool;
use FleetSparrow\Core\Shared\LengthUnit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $club_id
 * @property string $name
 * @property string $age_group
 * @property LengthUnit $length_unit
 * @property TargetSchool $target_school
 * @property \Illuminate\Database\Eloquent\Collection<int, Player> $players
 */
class Squad extends Model
{
    use BelongsToClub;

    protected $fillable = ['name', 'age_group', 'length_unit', 'target_school'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['length_unit' => LengthUnit::class, 'target_school' => TargetSchool::class];
    }

    /** @return HasMany<Player, $this> */
    public function players(): HasMany
    {
        return $this->hasMany(Player::class)->orderBy('name');
    }

    /** @return HasMany<TrainingSession, $this> */
    public function trainingSessions(): HasMany
    {
        return $this->hasMany(TrainingSession::class);
    }

    /** @return BelongsToMany<User, $this> */
    public function staff(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'squad_staff')->withPivot('role');
    }
}
